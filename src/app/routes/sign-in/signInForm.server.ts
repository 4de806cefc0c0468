import { IsIn, IsString, MaxLength } from 'class-validator';
import { localAddress } from '~/app/server/entry.server';
import { ReadAs } from '~/input/fill';

/** Where to go on once somebody is in: here, nowhere else. */
export class LeadsTo {
  @ReadAs((to) => localAddress(typeof to === 'string' ? to : null)) @IsString() to = '/';
}

export class SignInForm {
  @IsIn(['password', 'demo']) intent: 'password' | 'demo' = 'password';
  @IsString() @MaxLength(200) name!: string;
  @IsString() @MaxLength(2000) password = '';
  /** Where to afterwards. */
  @IsString() @MaxLength(2000) to = '/';
}
