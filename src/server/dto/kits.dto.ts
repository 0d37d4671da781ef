import 'reflect-metadata';
import { IsIn, IsInt, IsNumber, IsOptional, IsString, Max, MaxLength, Min, MinLength } from 'class-validator';
import { HasPart, IsCount, IsDay, IsSeen, IsWeek } from './fields';
import type { OrderLine } from '../../core/kit/order';
import { ORDER_STATES } from '../../core/kit/order';
import type { StockEvent } from '../../core/kit/stock';
import { STOCK_CHANGES } from '../../core/kit/stock';
import type { KitFacts, Season } from '../../core/kit/suggest';
import { SEASONS } from '../../core/kit/suggest';
import type { Supply } from '../../db/plans';

export class KitTextDto {
  @IsString() @MinLength(1) @MaxLength(80) name!: string;
  @IsIn(['kit', 'stash']) role!: 'kit' | 'stash';
  /** the kit as CSV (formats.md) */
  @IsString() @MaxLength(5_000_000) csv!: string;
}

export class FactsDto implements KitFacts {
  @IsOptional() @IsIn(SEASONS) season: Season | null = null;
  @IsString() @MaxLength(300) moods!: string;
  @IsOptional() @IsDay() useBy: string | null = null;
  @IsOptional() @IsNumber() @Min(0) @Max(100_000) price: number | null = null;
  @IsString() @MaxLength(200) shop!: string;
  @IsString() @MaxLength(2000) notes!: string;
  @IsOptional() @IsWeek() keptFor: string | null = null;
}

export class KitFactsDto {
  @IsString() @MinLength(1) @MaxLength(200) kit!: string;
  @HasPart(() => FactsDto) facts!: FactsDto;
  @IsSeen() seen: string | null = null;
}

export class StockChangeDto implements Omit<StockEvent, 'copy' | 'cut'> {
  @IsIn(STOCK_CHANGES) what!: StockEvent['what'];
  @IsString() @MinLength(1) @MaxLength(200) kit!: string;
  @IsString() @MinLength(1) @MaxLength(200) code!: string;
  /** the copy; none: the first whole one */
  @IsOptional() @IsCount() copy: number | null = null;
  @IsString() @MinLength(1) @MaxLength(200) reason!: string;
}

export class StockStepDto {
  @IsIn(['undo', 'redo']) way!: 'undo' | 'redo';
}

export class PlanKitDto {
  @IsWeek() week!: string;
  @IsOptional() @IsString() @MaxLength(200) kit: string | null = null;
}

export class OrderDto implements OrderLine {
  @IsString() @MinLength(1) @MaxLength(300) what!: string;
  @IsInt() @Min(1) @Max(10_000) count!: number;
  @IsString() @MaxLength(200) shop!: string;
  @IsInt() @Min(0) @Max(365) days!: number;
  @IsDay() neededBy!: string;
  @IsIn(ORDER_STATES) state!: OrderLine['state'];
}

export class PutOrderDto {
  @IsOptional() @IsCount() id: number | null = null;
  @HasPart(() => OrderDto) order!: OrderDto;
  @IsSeen() seen: string | null = null;
}

export class OrderIdDto {
  @IsCount() id!: number;
}

export class OrdersTextDto {
  @IsString() @MaxLength(200) file!: string;
  @IsString() @MaxLength(2_000_000) csv!: string;
}

export class SupplyDto implements Supply {
  @IsString() @MinLength(1) @MaxLength(100) name!: string;
  @IsString() @MaxLength(20) unit!: string;
  @IsNumber() @Min(0) @Max(1_000_000) amount!: number;
  @IsNumber() @Min(0) @Max(1_000_000) warnAt!: number;
}

export class SupplyChangeDto extends SupplyDto {
  @IsSeen() seen: string | null = null;
  @IsString() @MinLength(1) @MaxLength(100) reason!: string;
}

export class FavoriteDto {
  @IsString() @MinLength(1) @MaxLength(200) kit!: string;
  @IsString() @MinLength(1) @MaxLength(200) code!: string;
  @IsIn([true, false]) liked!: boolean;
}
