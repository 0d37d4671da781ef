import 'reflect-metadata';
import { Type } from 'class-transformer';
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
  ValidateNested,
  registerDecorator,
} from 'class-validator';
import { HasPart, IsCount } from './fields';
import type { Deed } from '../../core/edit/deed';
import type { Placement, Role } from '../../core/spread/placement';

const ROLES: readonly Role[] = ['base', 'sidebar', 'box', 'day', 'finish'];

/** Some fields of plain values, not too many letters; `do` names the deed. */
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

function isDeed(value: unknown): boolean {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
  const { do: done } = value as { do?: unknown };
  return typeof done === 'string' && done.length > 0 && JSON.stringify(value).length <= LONGEST_DEED;
}

export class RectDto {
  @IsNumber() x!: number;
  @IsNumber() y!: number;
  @IsNumber() @Min(0.01) w!: number;
  @IsNumber() @Min(0.01) h!: number;
}

/** A placement as formats.md describes it. */
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
  @IsOptional() @ValidateNested() @Type(() => RectDto) cut!: RectDto | null;
  @IsArray() @ArrayMaxSize(60) @IsString({ each: true }) items!: string[];
  @IsOptional() @IsString() @MaxLength(2000) text!: string | null;
  @IsNumber() @Min(0.6) @Max(1) size!: number;
  @IsOptional() @IsString() @MaxLength(60) ink!: string | null;
  @IsBoolean() locked!: boolean;
}

export class ChangeDto {
  /** what is done, as `core/edit/deed.ts` has it: kept and said, never looked into here */
  @IsDeed() deed!: Deed;
  @IsArray() @ArrayMaxSize(2000) @ValidateNested({ each: true }) @Type(() => PlacementDto) before!: PlacementDto[];
  @IsArray() @ArrayMaxSize(2000) @ValidateNested({ each: true }) @Type(() => PlacementDto) after!: PlacementDto[];
}

export class SaveEditDto {
  @IsCount() spreadId!: number;
  @HasPart(() => ChangeDto) change!: ChangeDto;
}
