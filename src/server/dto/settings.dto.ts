import type { Unit } from '../../core/measure/fraction';
import type { HourClock } from '../../core/week/demand';
import { HOUR_CLOCKS } from '../../core/week/demand';
import type { WeekStart } from '../../core/week/week';
import 'reflect-metadata';
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
} from 'class-validator';
import { SHORTEST_PASSPHRASE } from '../door/shortest';
import { HasPart, IsSeen } from './fields';
import type { ShortForm } from '../../core/manner/options/short-forms';
import type { TaughtWord } from '../../core/week/taught';
import type { TypingHabits } from '../../core/week/typed/habits';
import type { Hand } from '../../core/measure/hand';

export class HandDto implements Hand {
  @IsInt() @Min(2) @Max(200) lettersPerLine!: number;
  @IsNumber() @Min(5) @Max(300) lineWidth!: number;
  @IsNumber() @Min(1.5) @Max(20) linePitch!: number;
}

export class SaveHandDto {
  @HasPart(() => HandDto) hand!: HandDto;
  @IsSeen() seen: string | null = null;
}

export class TaughtWordDto implements TaughtWord {
  @Matches(/^\s*[\p{L}\p{N}][\p{L}\p{N} ]{0,39}\s*$/u, { message: 'expected: a word or two, of letters and digits' })
  word!: string;
  @Matches(/^[\p{L}\p{N}-]{1,40}$/u) means!: string;
}

export class WordDto {
  @IsString() @MinLength(1) @MaxLength(80) word!: string;
}

export class ShortFormDto implements ShortForm {
  @Matches(/^\s*[\p{L}\p{N}]{2,40}\s*$/u, { message: 'expected: one word, of letters and digits' }) word!: string;
  @Matches(/^\s*[^\p{C}\s][^\p{C}]{0,19}\s*$/u, { message: 'expected: up to 20 letters or signs' }) short!: string;
}

export class DoorDto {
  @IsBoolean() open!: boolean;
  /** a new one; null: as it is */
  @IsOptional() @IsString() @MinLength(SHORTEST_PASSPHRASE) @MaxLength(200) passphrase: string | null = null;
}

export class LikeDto {
  @IsString() @MaxLength(200) kit!: string;
  @IsString() @MaxLength(200) code!: string;
  @IsBoolean() off!: boolean;
}

export class LearnedChoiceDto {
  @IsString() @MaxLength(200) manner!: string;
  @IsString() @MaxLength(200) choice!: string;
  @IsBoolean() off!: boolean;
}

export class ZoneDto {
  @IsString() @MaxLength(100) zone!: string;
  @IsSeen() seen: string | null = null;
}

export class ClockDto {
  @IsIn(HOUR_CLOCKS) clock!: HourClock;
}

export class UnitDto {
  @IsIn(['in', 'mm']) unit!: Unit;
}

export class CurrencyDto {
  @IsString() @Matches(/\S/) @MaxLength(5) currency!: string;
}

export class WeekStartDto {
  @IsIn(['monday', 'sunday']) start!: WeekStart;
}

export class HoursDto {
  @IsInt() @Min(1) @Max(11) from!: number;
  @IsInt() @Min(1) @Max(11) to!: number;
}

export class TypingDto implements TypingHabits {
  @IsIn(['month first', 'day first']) dateOrder!: TypingHabits['dateOrder'];
  @HasPart(() => HoursDto) afterNoon!: HoursDto;
  @IsSeen() seen: string | null = null;
}
