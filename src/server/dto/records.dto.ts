import 'reflect-metadata';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Max,
  MaxLength,
  Min,
  MinLength,
} from 'class-validator';
import type { DayRecord, RecordHabits, RecordSort } from '../../core/keep/day-record';
import { RECORD_SORTS } from '../../core/keep/day-record';
import { EntryDto } from './agenda.dto';
import { HasPart, HasParts, IsDay } from './fields';
import { SpreadIdDto } from './spread.dto';

const MOST_HABITS = 24;

export class RecordDto implements DayRecord {
  @IsDay() day!: string;
  @IsIn(RECORD_SORTS) what!: RecordSort;
  @IsString() @MaxLength(100) name!: string;
  @IsNumber() @Min(0) @Max(1_000_000) amount!: number;
  @IsString() @MaxLength(2000) text!: string;
}

export class WriteDownDto {
  @HasParts(() => RecordDto, 1, 50) records!: RecordDto[];
}

/** A note of next week's that becomes an item on a day. */
export class NoteToItemDto {
  @HasPart(() => RecordDto) note!: RecordDto;
  @IsDay() to!: string;
}

const IsNames = (): PropertyDecorator => (target, name) =>
  [
    IsArray(),
    ArrayMaxSize(MOST_HABITS),
    ArrayUnique(),
    IsString({ each: true }),
    MinLength(1, { each: true }),
    MaxLength(60, { each: true }),
  ].forEach((decorate) => decorate(target, name));

export class RecordHabitsDto implements RecordHabits {
  @IsNames() habits!: string[];
  @IsNames() hours!: string[];
  @IsNames() spending!: string[];
  @IsString() @MinLength(1) @MaxLength(5) currency!: string;
}

/** What came up on a day, to find its place on a spread. */
export class FindPlaceDto extends SpreadIdDto {
  @IsString() @MinLength(1) @MaxLength(500) uid!: string;
  @IsDay() on!: string;
}

/** What came up, to be added and to find its place. */
export class CameUpDto extends SpreadIdDto {
  @HasPart(() => EntryDto) entry!: EntryDto;
}

export class DressDayDto extends SpreadIdDto {
  @IsInt() @Min(0) @Max(6) day!: number;
}
