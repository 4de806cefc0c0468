import { IsString, MaxLength } from 'class-validator';

export class PasswordForm {
  @IsString() @MaxLength(2000) password!: string;
  @IsString() @MaxLength(2000) again!: string;
}
