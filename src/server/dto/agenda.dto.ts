import 'reflect-metadata';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateBy,
  ValidateIf,
} from 'class-validator';
import { HasPart, HasParts, IsCount, IsDay, IsSeen } from './fields';
import type { AgendaEntry } from '../../core/week/agenda-entry';
import type { DemandKind, Part, Room } from '../../core/week/demand';
import { DEMAND_KINDS, PARTS, ROOMS } from '../../core/week/demand';
import type { Reminder } from '../../core/week/facts';
import { FURTHEST } from '../../core/week/facts';
import type { Round, Turn } from '../../core/week/round';
import { MOST_TURNS } from '../../core/week/round';

export class ReminderDto implements Reminder {
  @IsInt() @Min(1) @Max(FURTHEST) days!: number;
  @IsString() @MinLength(1) @MaxLength(400) text!: string;
}

export class EntryDto implements AgendaEntry {
  @IsString() @MaxLength(500) uid!: string;
  @IsString() @MinLength(1) @MaxLength(500) title!: string;
  @IsBoolean() task!: boolean;
  @IsDay() day!: string;
  @IsOptional() @IsInt() @Min(0) @Max(1439) start: number | null = null;
  @IsOptional() @IsInt() @Min(1) @Max(1440) minutes: number | null = null;
  @IsInt() @Min(1) @Max(366) days!: number;
  @IsOptional() @IsIn(DEMAND_KINDS) kind: DemandKind | null = null;
  @IsOptional() @IsIn(PARTS) part: Part | null = null;
  @IsOptional() @IsIn(ROOMS) room: Room | null = null;
  @IsOptional() @IsString() @MaxLength(100) list: string | null = null;
  @IsBoolean() tentative!: boolean;
  @IsInt() @Min(0) @Max(FURTHEST) leadDays!: number;
  @IsBoolean() dueShown!: boolean;
  @IsArray()
  @ArrayMaxSize(20)
  @IsInt({ each: true })
  @Min(1, { each: true })
  @Max(FURTHEST, { each: true })
  countdown!: number[];
  @HasParts(() => ReminderDto, 0, 20) reminders!: ReminderDto[];
  @IsOptional() @IsInt() @Min(0) @Max(9999) since: number | null = null;
  @IsOptional() @IsString() @MaxLength(500) onlyWith: string | null = null;
  @IsArray() @ArrayMaxSize(60) @IsString({ each: true }) @MaxLength(500, { each: true }) quiet!: string[];
  @IsOptional() @IsDay() from: string | null = null;
  @IsOptional() @Matches(/^FREQ=(DAILY|WEEKLY|MONTHLY|YEARLY)[A-Z0-9=;,+-]*$/) @MaxLength(300) repeat: string | null =
    null;
}

export class PutEntryDto {
  @HasPart(() => EntryDto) entry!: EntryDto;
  @IsSeen() seen: string | null = null;
}

export class RemoveEntryDto {
  @IsString() @MinLength(1) @MaxLength(500) uid!: string;
  /** one day of a series only */
  @IsOptional() @IsDay() day!: string | null;
}

/** An item on one of its days. */
export class OccurrenceDto {
  @IsString() @MinLength(1) @MaxLength(500) uid!: string;
  @IsDay() on!: string;
}

export class MoveDto {
  @HasParts(() => OccurrenceDto, 1, 200) items!: OccurrenceDto[];
  @IsDay() to!: string;
  /** the spread whose last edit it belongs to: they are undone together */
  @IsOptional() @IsCount() withSpread?: number;
}

export class GatherDto {
  @HasParts(() => OccurrenceDto, 1, 200) items!: OccurrenceDto[];
  @IsString() @MinLength(1) @MaxLength(100) list!: string;
}

export class MarkDto extends OccurrenceDto {
  @ValidateIf((m: MarkDto) => m.mark !== null) @IsIn(['done', 'let go']) mark!: 'done' | 'let go' | null;
}

export class BringOverDto {
  @HasParts(() => OccurrenceDto, 1, 200) items!: OccurrenceDto[];
  @IsDay() to!: string;
}

export class SomedayDto {
  @IsString() @MinLength(1) @MaxLength(500) uid!: string;
  @IsDay() to!: string;
}

export class PairDto {
  @IsString() @MinLength(1) @MaxLength(500) one!: string;
  @IsString() @MinLength(1) @MaxLength(500) other!: string;
}

export class BothMeantDto {
  @HasParts(() => PairDto, 1, 200) pairs!: PairDto[];
}

export class TurnDto implements Turn {
  @IsString() @MinLength(1) @MaxLength(400) text!: string;
  @IsOptional() @IsInt() @Min(0) @Max(1439) start: number | null = null;
  @IsOptional() @IsInt() @Min(1) @Max(1440) minutes: number | null = null;
}

export class RoundDto implements Omit<Round, 'turns'> {
  @IsString() @MinLength(1) @MaxLength(100) name!: string;
  @IsDay() first!: string;
  @IsIn(['day', 'week']) every!: 'day' | 'week';
  /** a free turn has no text */
  @HasParts(() => SlotDto, 2, MOST_TURNS)
  @ValidateBy({
    name: 'anyTurn',
    validator: {
      validate: (slots: unknown) =>
        Array.isArray(slots) && slots.some((slot: SlotDto | null | undefined) => slot?.turn),
      defaultMessage: () => 'at least one turn with a text',
    },
  })
  slots!: SlotDto[];
  @IsOptional() @IsIn(DEMAND_KINDS) kind: DemandKind | null = null;
  @IsOptional() @IsIn(PARTS) part: Part | null = null;
}

export class SlotDto {
  @IsOptional() @HasPart(() => TurnDto) turn: TurnDto | null = null;
}

export class PutRoundDto {
  @HasPart(() => RoundDto) round!: RoundDto;
  /** the name it had before; '' when it is new */
  @IsString() @MaxLength(100) instead!: string;
  @IsSeen() seen: string | null = null;
}

export class NameDto {
  @IsString() @MinLength(1) @MaxLength(200) name!: string;
}

export class SubscribeDto {
  @IsString() @MinLength(1) @MaxLength(100) name!: string;
  @IsString() @MinLength(1) @MaxLength(2000) address!: string;
}

/** The step that a button names; of a button that names none, whichever is the last. */
export class HistoryStepDto {
  @IsIn(['undo', 'redo']) way!: 'undo' | 'redo';
  @IsOptional() @IsCount() step: number | null = null;
}
