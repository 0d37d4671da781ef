import 'reflect-metadata';
import { Type } from 'class-transformer';
import { IsBoolean, IsIn, IsInt, IsOptional, IsString, Matches, Max, MaxLength, Min, MinLength, ValidateNested } from 'class-validator';
import type { AgendaEntry } from '../../core/week/agenda-entry';
import type { DemandKind, Part, Room } from '../../core/week/demand';
import { DEMAND_KINDS, PARTS, ROOMS } from '../../core/week/demand';

const DAY = /^\d{4}-\d{2}-\d{2}$/;

export class EntryDto implements AgendaEntry {
  @IsString() @MaxLength(500) uid!: string;
  @IsString() @MinLength(1) @MaxLength(500) title!: string;
  @IsBoolean() task!: boolean;
  @Matches(DAY) day!: string;
  @IsOptional() @IsInt() @Min(0) @Max(1439) start!: number | null;
  @IsOptional() @IsInt() @Min(1) @Max(1440) minutes!: number | null;
  @IsInt() @Min(1) @Max(366) days!: number;
  @IsOptional() @IsIn(DEMAND_KINDS) kind!: DemandKind | null;
  @IsOptional() @IsIn(PARTS) part!: Part | null;
  @IsOptional() @IsIn(ROOMS) room!: Room | null;
  @IsOptional() @IsString() @MaxLength(100) list!: string | null;
  @IsBoolean() tentative!: boolean;
  @IsInt() @Min(0) @Max(60) leadDays!: number;
  @IsOptional() @Matches(/^FREQ=(DAILY|WEEKLY|MONTHLY|YEARLY)[A-Z0-9=;,+-]*$/) @MaxLength(300) repeat!: string | null;
}

export class PutEntryDto {
  @ValidateNested() @Type(() => EntryDto) entry!: EntryDto;
}

export class RemoveEntryDto {
  @IsString() @MinLength(1) @MaxLength(500) uid!: string;
  /** one day of a series only */
  @IsOptional() @Matches(DAY) day!: string | null;
}

export class AgendaHistoryDto {
  @IsIn(['undo', 'redo']) way!: 'undo' | 'redo';
}
