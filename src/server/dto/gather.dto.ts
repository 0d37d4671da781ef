import 'reflect-metadata';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsHexColor,
  IsOptional,
  IsString,
  Matches,
  MaxLength,
} from 'class-validator';
import type { Theme } from '../../core/kit/gather';
import { HasPart, IsWeek } from './fields';

export class ThemeDto implements Theme {
  @ArrayMinSize(2)
  @ArrayMaxSize(4)
  @ArrayUnique()
  @IsHexColor({ each: true })
  @Matches(/^#[0-9a-f]{6}$/, { each: true })
  colors!: string[];
  @IsOptional() @IsString() @MaxLength(40) foil: string | null = null;
}

/** A week to be gathered for, in a theme's colors. */
export class GatherDto {
  @IsWeek() week!: string;
  @HasPart(() => ThemeDto) theme!: ThemeDto;
}

const MOST_GATHERED = 2000;

/** What was gathered for a week, put in and out by hand. */
export class KeepGatheredDto extends GatherDto {
  /** `kit/code` of each sticker */
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_GATHERED)
  @ArrayUnique()
  @IsString({ each: true })
  @MaxLength(400, { each: true })
  keys!: string[];
}
