import 'reflect-metadata';
import type { ValidationArguments } from 'class-validator';
import { HasPart, IsCount, IsWeek } from './fields';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNotIn,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  MaxLength,
  Min,
  MinLength,
  registerDecorator,
} from 'class-validator';
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

export const MISHAPS = ['spoiled', 'out', 'kept'] as const;
export type Mishap = (typeof MISHAPS)[number];

/** What befell a sticker that lies on a spread: spoiled, none of its design left, kept for a later week. */
export class MishapDto extends SpreadIdDto {
  @Matches(/^[\w-]{1,40}$/) placement!: string;
  @IsIn(MISHAPS) what!: Mishap;
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

export class TickDto extends SpreadIdDto {
  @IsString() @MaxLength(20_000) step!: string;
  @IsBoolean() done!: boolean;
}
