import 'reflect-metadata';
import {
  ArrayUnique,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
} from 'class-validator';
import { HasPart, HasParts, IsCount, IsDay, IsSeen, IsWeek } from './fields';
import type { OrderLine } from '../../core/kit/order';
import { ORDER_STATES } from '../../core/kit/order';
import type { StockEvent } from '../../core/kit/stock';
import { STOCK_CHANGES } from '../../core/kit/stock';
import type { Counted } from '../../core/kit/recount';
import type { Share } from '../../core/kit/split-off';
import type { KitFacts, Season } from '../../core/kit/suggest';
import { SEASONS } from '../../core/kit/suggest';
import type { Supply } from '../../db/plans';

export class KitTextDto {
  @IsString() @MinLength(1) @MaxLength(80) name!: string;
  @IsIn(['kit', 'stash']) role!: 'kit' | 'stash';
  /** the kit as CSV (docs/formats), with its pictures where it has any */
  @IsString() @MaxLength(5_000_000) csv!: string;
  /** what its giver says of it */
  @IsOptional() @IsString() @MaxLength(2000) note?: string;
}

/** A word to go with a kit that is given away. */
export class GiveKitDto {
  @IsString() @MaxLength(2000) note!: string;
}

export class FactsDto implements KitFacts {
  @IsString() @MaxLength(80) title!: string;
  @IsString() @MaxLength(80) place!: string;
  @IsIn([true, false]) retired!: boolean;
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

/** Words, and the kit that what is found shall go with. */
export class SearchPiecesDto {
  @IsString() @MaxLength(200) words!: string;
  @IsOptional() @IsString() @MaxLength(200) goesWith: string | null = null;
}

const MOST_LINES = 20_000;
const byCode = (line: { readonly code: string }): string => line.code;

export class KitNameDto {
  @IsString() @MinLength(1) @MaxLength(200) kit!: string;
}

/** The picture that a line shows, by the hash of its bytes. */
export class PictureOfDto {
  @IsString() @MinLength(1) @MaxLength(200) code!: string;
  @Matches(/^[0-9a-f]{64}$/, { message: 'the hash of a picture' }) picture!: string;
}

export class CorrectKitDto extends KitNameDto {
  /** all its lines as they shall be, as CSV (docs/formats) */
  @IsString() @MaxLength(5_000_000) csv!: string;
  @HasParts(() => PictureOfDto, 0, MOST_LINES) pictures!: PictureOfDto[];
  @IsSeen() seen: string | null = null;
}

class CountedDto implements Counted {
  @IsString() @MinLength(1) @MaxLength(200) code!: string;
  @IsInt() @Min(0) @Max(10_000) whole!: number;
}

export class RecountDto extends KitNameDto {
  @HasParts(() => CountedDto, 1, MOST_LINES) @ArrayUnique(byCode) counted!: CountedDto[];
}

class ShareDto implements Share {
  @IsString() @MinLength(1) @MaxLength(200) code!: string;
  @IsInt() @Min(1) @Max(10_000) count!: number;
}

export class SplitKitDto extends KitNameDto {
  /** name of the stash that takes them; a new one where there is none */
  @IsString() @MinLength(1) @MaxLength(80) into!: string;
  @HasParts(() => ShareDto, 1, MOST_LINES) @ArrayUnique(byCode) shares!: ShareDto[];
}

export class CopyDto extends KitNameDto {
  @IsString() @MinLength(1) @MaxLength(200) code!: string;
  @IsCount() copy!: number;
}

export class LeftOverDto extends CopyDto {
  /** mm */
  @IsNumber() @Min(0) @Max(100_000) left!: number;
}

/** A roll, or what is left of one. Lengths in mm. */
export class AddWashiDto extends KitNameDto {
  @IsNumber() @Min(1) @Max(200) width!: number;
  @IsNumber() @Min(5) @Max(100_000) length!: number;
  @Matches(/^#[0-9a-f]{6}$/, { message: 'a color such as #aabbcc' }) color!: `#${string}`;
}

export class StockChangeDto implements Omit<StockEvent, 'copy' | 'cut'> {
  @IsIn(STOCK_CHANGES) what!: StockEvent['what'];
  @IsString() @MinLength(1) @MaxLength(200) kit!: string;
  @IsString() @MinLength(1) @MaxLength(200) code!: string;
  /** the copy; none: the first whole one */
  @IsOptional() @IsCount() copy: number | null = null;
  @IsString() @MinLength(1) @MaxLength(200) reason!: string;
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
