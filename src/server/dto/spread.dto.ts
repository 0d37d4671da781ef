import 'reflect-metadata';
import { IsBoolean, IsIn, IsInt, IsString, Matches, MaxLength, Min } from 'class-validator';
import { MANNERS } from '../../core/manner/registry';

export class SpreadIdDto {
  @IsInt() @Min(1) spreadId!: number;
}

export class StartSpreadDto {
  @Matches(/^\d{4}-W\d{2}$/) week!: string;
  @IsString() @MaxLength(200) bookId!: string;
  @IsString() @MaxLength(200) kitId!: string;
  @IsIn(Object.keys(MANNERS)) manner!: string;
}

export class StepHistoryDto extends SpreadIdDto {
  @IsIn(['undo', 'redo']) way!: 'undo' | 'redo';
}

export class TickDto extends SpreadIdDto {
  @IsString() @MaxLength(20_000) step!: string;
  @IsBoolean() done!: boolean;
}
