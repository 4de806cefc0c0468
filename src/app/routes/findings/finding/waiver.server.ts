import 'reflect-metadata';
import { IsIn, IsString, Matches, MaxLength } from 'class-validator';

/** Waiving one finding: its rule leaves its object alone, and taking that back. Who decides it is who is signed in. */
export class WaiverForm {
  @IsIn(['waive', 'unwaive']) intent!: 'waive' | 'unwaive';
  @IsString() @MaxLength(500) reason = '';
  @Matches(/^(\d{4}-\d{2}-\d{2})?$/, { message: 'Give the last day as year, month and day, or leave it empty' }) until = '';
}
