import 'reflect-metadata';
import { IsString, MaxLength } from 'class-validator';

export class FindDto {
  @IsString() @MaxLength(200) words!: string;
}
