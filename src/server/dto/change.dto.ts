import 'reflect-metadata';
import {
  ArrayMaxSize,
  IsArray,
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
  registerDecorator,
} from 'class-validator';
import { HasPart, HasParts, IsCount } from './fields';
import type { Deed } from '../../core/edit/deed';
import { sayDeed } from '../../core/edit/say-deed';
import type { Placement, Role } from '../../core/spread/placement';
import { daysOfWeek } from '../../core/week/week';

const ROLES: readonly Role[] = ['base', 'sidebar', 'box', 'day', 'finish'];

/** What is done, as `core/edit/deed.ts` has it. */
function IsDeed(): PropertyDecorator {
  return (target, propertyName) =>
    registerDecorator({
      name: 'isDeed',
      target: target.constructor,
      propertyName: String(propertyName),
      options: { message: 'expected: what is done, as data' },
      validator: { validate: isDeed },
    });
}

const LONGEST_DEED = 2000;
/** A deed's words name days, and nothing else of its week. */
const anyWeek = { unit: 'mm', context: { week: { days: daysOfWeek('2027-W06') } } } as unknown as Parameters<
  typeof sayDeed
>[1];

/** It is kept and said later, on every screen that can undo it: what cannot be said is none. */
function isDeed(value: unknown): boolean {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
  if (JSON.stringify(value).length > LONGEST_DEED) return false;
  try {
    const said: unknown = sayDeed(value as Deed, anyWeek);
    return typeof said === 'string' && said !== '';
  } catch {
    return false;
  }
}

export class RectDto {
  @IsNumber() x!: number;
  @IsNumber() y!: number;
  @IsNumber() @Min(0.01) w!: number;
  @IsNumber() @Min(0.01) h!: number;
}

/** A placement as docs/formats describes it. */
export class PlacementDto implements Placement {
  @Matches(/^p\d{1,7}$/) id!: string;
  @IsString() @MaxLength(200) kit!: string;
  @IsString() @MaxLength(200) code!: string;
  @IsCount() copy!: number;
  @IsInt() @Min(0) @Max(7) page!: number;
  @IsNumber() @Min(-50) @Max(1000) x!: number;
  @IsNumber() @Min(-50) @Max(1000) y!: number;
  @IsNumber() @Min(0.1) @Max(1000) w!: number;
  @IsNumber() @Min(0.1) @Max(1000) h!: number;
  @IsNumber() @Min(0) @Max(360) turn!: number;
  @IsInt() @Min(0) @Max(99) layer!: number;
  @IsIn(ROLES) role!: Role;
  @IsOptional() @IsInt() @Min(0) @Max(6) day!: number | null;
  @IsOptional() @HasPart(() => RectDto) cut!: RectDto | null;
  @IsArray() @ArrayMaxSize(60) @IsString({ each: true }) items!: string[];
  @IsOptional() @IsString() @MaxLength(2000) text!: string | null;
  @IsNumber() @Min(0.6) @Max(1) size!: number;
  @IsOptional() @IsString() @MaxLength(60) ink!: string | null;
  @IsBoolean() locked!: boolean;
}

export class ChangeDto {
  @IsDeed() deed!: Deed;
  @HasParts(() => PlacementDto, 0, 2000) before!: PlacementDto[];
  @HasParts(() => PlacementDto, 0, 2000) after!: PlacementDto[];
}

export class SaveEditDto {
  @IsCount() spreadId!: number;
  @HasPart(() => ChangeDto) change!: ChangeDto;
}
