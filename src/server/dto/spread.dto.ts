import 'reflect-metadata';
import type { ValidationArguments } from 'class-validator';
import { HasPart, HasParts, IsCount, IsWeek } from './fields';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNotIn,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  registerDecorator,
} from 'class-validator';
import { WORK_ORDERS } from '../../core/bench/orders/registry';
import type { MemorySort } from '../../core/keep/memory-pieces';
import { MEMORY_SORTS } from '../../core/keep/memory-pieces';
import { MANNERS } from '../../core/manner/registry';
import type { Ways } from '../../core/manner/ways/registry';
import { isWay } from '../../core/manner/ways/registry';

export class SpreadIdDto {
  @IsCount() spreadId!: number;
}

export class StartSpreadDto {
  @IsWeek() week!: string;
  @IsString() @MaxLength(200) bookId!: string;
  @IsString() @MaxLength(200) kitId!: string;
  /** a school, or a manner of one's own */
  @IsString() @MinLength(1) @MaxLength(60) manner!: string;
}

/** Ways by the names and values of their registry; each may be missing. */
function IsWays(): PropertyDecorator {
  return (target, propertyName) =>
    registerDecorator({
      name: 'isWays',
      target: target.constructor,
      propertyName: String(propertyName),
      validator: { validate: (value) => faultyWays(value).length === 0, defaultMessage: sayFaultyWays },
    });
}

/** Names of what is no way, or has a value that it may not have. */
const faultyWays = (value: unknown): string[] =>
  typeof value === 'object' && value !== null
    ? Object.entries(value).flatMap(([key, v]) => (v === undefined || isWay(key, v) ? [] : [key]))
    : ['ways'];

const sayFaultyWays = (found?: ValidationArguments): string =>
  `${faultyWays(found?.value)
    .map((key) => `ways.${key}`)
    .join(', ')}: ways of the registry, each with one of its values`;

export const MISHAPS = ['spoiled', 'torn', 'missing', 'out', 'kept', 'off', 'other'] as const;
export type Mishap = (typeof MISHAPS)[number];

/**
 * What befell a sticker of a spread: spoiled, torn, not on its sheet, none of its design left, kept for a later week,
 * stuck a little off, or its owner changed their mind.
 */
export class MishapDto extends SpreadIdDto {
  @Matches(/^[\w-]{1,40}$/) placement!: string;
  @IsIn(MISHAPS) what!: Mishap;
  /** how far off it was stuck, mm to the right and down */
  @IsOptional() @IsNumber() @Min(-30) @Max(30) dx = 0;
  @IsOptional() @IsNumber() @Min(-30) @Max(30) dy = 0;
}

export class WaveDto extends SpreadIdDto {
  @IsString() @MinLength(3) @MaxLength(2000) key!: string;
  @IsBoolean() wanted!: boolean;
}

export class MannerDto {
  @IsIn(Object.keys(MANNERS)) school!: string;
  /** checked further by the schema of options */
  @IsObject() options!: Record<string, unknown>;
  @IsWays() ways!: Partial<Ways>;
}

export class SetMannerDto extends SpreadIdDto {
  @HasPart(() => MannerDto) manner!: MannerDto;
}

export class KeepMannerDto extends MannerDto {
  @IsString()
  @Matches(/^[\p{L}\p{N}][\p{L}\p{N} '’-]{0,58}$/u, { message: 'expected: a name of letters and digits, 60 at most' })
  @IsNotIn(Object.keys(MANNERS))
  name!: string;
}

/** Kits that a spread may take from beside its own. */
export class StashDto extends SpreadIdDto {
  @IsArray() @ArrayMaxSize(40) @IsString({ each: true }) @MaxLength(200, { each: true }) kits!: string[];
}

export class StepHistoryDto extends SpreadIdDto {
  @IsIn(['undo', 'redo']) way!: 'undo' | 'redo';
  /** the revision it was asked for at: what is sent twice is taken once; null: whatever there is */
  @IsOptional() @IsInt() @Min(0) revision: number | null = null;
}

/** One step, or a group of them. */
export class TickDto extends SpreadIdDto {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(500)
  @IsString({ each: true })
  @MaxLength(20_000, { each: true })
  steps!: string[];
  @IsBoolean() done!: boolean;
}

/** How its owner works on a spread. */
export class WorkPlanDto extends SpreadIdDto {
  @IsIn(WORK_ORDERS.map((o) => o.name)) order!: string;
  @IsArray() @ArrayMaxSize(2000) @IsString({ each: true }) @MaxLength(20_000, { each: true }) sequence!: string[];
  @IsBoolean() tapeOut!: boolean;
}

/** A week that is given up; the pieces of it that were really stuck. */
export class GiveUpDto extends SpreadIdDto {
  @IsArray() @ArrayMaxSize(2000) @Matches(/^[\w-]{1,40}$/, { each: true }) stuck: string[] = [];
}

export class TakeUpDto {
  @IsCount() id!: number;
}

/** What was loved and what jarred, as `kit/code`. */
export class JudgeDto extends SpreadIdDto {
  @IsArray() @ArrayMaxSize(300) @IsString({ each: true }) @MaxLength(400, { each: true }) loved!: string[];
  @IsArray() @ArrayMaxSize(300) @IsString({ each: true }) @MaxLength(400, { each: true }) jarred!: string[];
}

export class KeepNoteDto extends SpreadIdDto {
  @IsString() @MaxLength(2000) note!: string;
}

export class RateDto extends SpreadIdDto {
  @IsInt() @Min(0) @Max(5) rating!: number;
}

/** Words that a week is found by. */
export class TagsDto extends SpreadIdDto {
  @IsArray()
  @ArrayMaxSize(12)
  @IsString({ each: true })
  @MinLength(1, { each: true })
  @MaxLength(40, { each: true })
  tags!: string[];
}

export class PointDto {
  @IsNumber() @Min(-10_000) @Max(20_000) x!: number;
  @IsNumber() @Min(-10_000) @Max(20_000) y!: number;
}

/** The corners of the open book in its photo, px: top left, top right, bottom right, bottom left. */
export class StraightenDto extends SpreadIdDto {
  @HasParts(() => PointDto, 4, 4) corners!: PointDto[];
}

/** A photo that was kept before. */
export class PhotoDto extends SpreadIdDto {
  @Matches(/^[0-9a-f]{64}$/) photo!: string;
}

/** A leftover laid in an empty place of a day. */
export class LayMemoryDto extends SpreadIdDto {
  @IsString() @MaxLength(200) kit!: string;
  @IsString() @MaxLength(200) code!: string;
  @IsInt() @Min(0) @Max(6) day!: number;
  @IsIn(MEMORY_SORTS) sort!: MemorySort;
  @IsString() @MaxLength(400) text!: string;
}
