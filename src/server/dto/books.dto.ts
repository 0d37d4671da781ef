import 'reflect-metadata';
import { IsBoolean, IsIn, IsInt, IsNumber, IsObject, IsString, Max, MaxLength, Min, MinLength } from 'class-validator';
import { HasPart, IsSeen } from './fields';
import type { Measures } from '../../core/book/from-measures';

export class BookIdDto {
  @IsString() @MinLength(1) @MaxLength(200) id!: string;
}

export class CopyBookDto extends BookIdDto {
  @IsString() @MinLength(1) @MaxLength(80) name!: string;
}

/** The book itself is checked by its schema (docs/formats). */
export class SaveBookDto extends BookIdDto {
  @IsObject() book!: Record<string, unknown>;
  @IsSeen() seen: string | null = null;
}

export class BookStepDto extends BookIdDto {
  @IsIn(['undo', 'redo']) way!: 'undo' | 'redo';
  /** the book it was asked for at: what is sent twice is taken once */
  @IsSeen() seen: string | null = null;
}

class BindingDto {
  @IsIn(['coil', 'discs', 'rings', 'sewn']) kind!: 'coil' | 'discs' | 'rings' | 'sewn';
  @IsNumber() @Min(0) @Max(60) width!: number;
}

export class MeasuresDto implements Measures {
  @IsString() @MinLength(1) @MaxLength(80) name!: string;
  @IsIn(['mm', 'in']) unit!: 'mm' | 'in';
  @IsIn(['monday', 'sunday']) weekStart!: 'monday' | 'sunday';
  @IsBoolean() dated!: boolean;
  @HasPart(() => BindingDto) binding!: BindingDto;
  @IsIn([2, 4]) pages!: 2 | 4;
  @IsNumber() @Min(40) @Max(600) width!: number;
  @IsNumber() @Min(40) @Max(800) height!: number;
  @IsNumber() @Min(0) @Max(100) margin!: number;
  @IsNumber() @Min(8) @Max(300) column!: number;
  @IsNumber() @Min(0) @Max(40) gap!: number;
  @IsNumber() @Min(0) @Max(300) headerTop!: number;
  @IsNumber() @Min(1) @Max(100) headerHeight!: number;
  @IsNumber() @Min(0) @Max(400) dayTop!: number;
  @IsNumber() @Min(20) @Max(700) dayHeight!: number;
  @IsInt() @Min(0) @Max(6) boxes!: number;
  @IsNumber() @Min(0) @Max(800) stripTop!: number;
  @IsNumber() @Min(0) @Max(100) stripHeight!: number;
}

export class MeasureBookDto {
  @HasPart(() => MeasuresDto) measures!: MeasuresDto;
}
