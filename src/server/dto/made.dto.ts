import 'reflect-metadata';
import { IsIn, IsInt, IsNumber, IsOptional, IsString, Matches, Max, MaxLength, Min } from 'class-validator';
import type { Makeable } from '../../core/make/makeable';
import { MAKEABLE } from '../../core/make/makeable';
import { HasParts, IsCount } from './fields';

const HEX = /^#[0-9a-f]{6}$/;

/** A line of stickers to make; sizes in mm. */
export class MadeLineDto {
  @IsIn(MAKEABLE) kind!: Makeable;
  @IsInt() @Min(1) @Max(200) count!: number;
  @IsNumber() @Min(3) @Max(400) width!: number;
  @IsNumber() @Min(3) @Max(400) height!: number;
  @Matches(HEX) color!: string;
  @Matches(HEX) accent!: string;
  @IsString() @MaxLength(40) motif!: string;
  @IsString() @MaxLength(60) words!: string;
  @IsInt() @Min(0) @Max(31) rows!: number;
}

export const PAPER_SIZES = ['A4', 'Letter'] as const;

/** What is to be made, and on which paper. */
export class MadeDto {
  @Matches(/^[\p{L}\p{N}][\p{L}\p{N}\w -]{0,58}$/u) name!: string;
  @HasParts(() => MadeLineDto, 1, 120) lines!: MadeLineDto[];
  @IsIn(PAPER_SIZES) size!: (typeof PAPER_SIZES)[number];
  /** the sheet that is wanted, from 0 */
  @IsOptional() @IsInt() @Min(0) @Max(99) sheet = 0;
}

export class KeepMadeDto extends MadeDto {
  @IsCount() spreadId!: number;
}
