import 'reflect-metadata';
import { IsInt, IsNumber, IsString, Max, MaxLength, Min } from 'class-validator';
import type { Hand } from '../../core/measure/hand';

export class HandDto implements Hand {
  @IsInt() @Min(2) @Max(200) lettersPerLine!: number;
  @IsNumber() @Min(5) @Max(300) lineWidth!: number;
  @IsNumber() @Min(1.5) @Max(20) linePitch!: number;
}

export class ZoneDto {
  @IsString() @MaxLength(100) zone!: string;
}
