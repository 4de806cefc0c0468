import { IsIn, IsString, MaxLength } from 'class-validator';

export class SignInForm {
  @IsIn(['password', 'demo']) intent: 'password' | 'demo' = 'password';
  @IsString() @MaxLength(200) name!: string;
  @IsString() @MaxLength(2000) password = '';
  /** Where to afterwards. */
  @IsString() @MaxLength(2000) to = '/';
}
