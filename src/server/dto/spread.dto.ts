import 'reflect-metadata';
import { Type } from 'class-transformer';
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
  ValidateNested,
} from 'class-validator';
import { MANNERS } from '../../core/manner/registry';
import { WAY_VALUES } from '../../core/manner/ways';

export class SpreadIdDto {
  @IsInt() @Min(1) spreadId!: number;
}

export class StartSpreadDto {
  @Matches(/^\d{4}-W\d{2}$/) week!: string;
  @IsString() @MaxLength(200) bookId!: string;
  @IsString() @MaxLength(200) kitId!: string;
  /** a school, or a manner of one's own */
  @IsString() @MinLength(1) @MaxLength(60) manner!: string;
}

/** Where a spread departs from its school's ways; each may be missing. */
export class WaysDto {
  @IsOptional() @IsIn(WAY_VALUES.keepsRows) keepsRows?: boolean;
  @IsOptional() @IsIn(WAY_VALUES.boxes) boxes?: number;
  @IsOptional() @IsIn(WAY_VALUES.stand) stand?: string;
  @IsOptional() @IsIn(WAY_VALUES.framed) framed?: boolean;
  @IsOptional() @IsIn(WAY_VALUES.topBand) topBand?: boolean;
  @IsOptional() @IsIn(WAY_VALUES.raised) raised?: boolean;
  @IsOptional() @IsIn(WAY_VALUES.lists) lists?: string;
  @IsOptional() @IsIn(WAY_VALUES.listColors) listColors?: string;
  @IsOptional() @IsIn(WAY_VALUES.leaveOutLoud) leaveOutLoud?: boolean;
  @IsOptional() @IsIn(WAY_VALUES.sidebarColors) sidebarColors?: string;
  @IsOptional() @IsIn(WAY_VALUES.banner) banner?: string;
  @IsOptional() @IsIn(WAY_VALUES.bannerGround) bannerGround?: boolean;
  @IsOptional() @IsIn(WAY_VALUES.align) align?: string;
  @IsOptional() @IsIn(WAY_VALUES.deco) deco?: string;
  @IsOptional() @IsIn(WAY_VALUES.roundBases) roundBases?: boolean;
  @IsOptional() @IsIn(WAY_VALUES.times) times?: string;
  @IsOptional() @IsIn(WAY_VALUES.picturesServe) picturesServe?: boolean;
  @IsOptional() @IsIn(WAY_VALUES.nearBinding) nearBinding?: string;
  @IsOptional() @IsIn(WAY_VALUES.marksPlaces) marksPlaces?: boolean;
}

/** What befell a sticker that lies on a spread. */
export class MishapDto extends SpreadIdDto {
  @Matches(/^[\w-]{1,40}$/) placement!: string;
  @IsIn(['spoiled', 'out']) what!: 'spoiled' | 'out';
}

export class WaveDto extends SpreadIdDto {
  @IsString() @MinLength(3) @MaxLength(2000) key!: string;
  @IsBoolean() wanted!: boolean;
}

export class MannerDto {
  @IsIn(Object.keys(MANNERS)) school!: string;
  /** checked further by the schema of options */
  @IsObject() options!: Record<string, unknown>;
  @ValidateNested() @Type(() => WaysDto) ways!: WaysDto;
}

export class SetMannerDto extends SpreadIdDto {
  @ValidateNested() @Type(() => MannerDto) manner!: MannerDto;
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
}

export class TickDto extends SpreadIdDto {
  @IsString() @MaxLength(20_000) step!: string;
  @IsBoolean() done!: boolean;
}
