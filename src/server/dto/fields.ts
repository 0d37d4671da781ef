import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { DateTime } from 'luxon';
import { isWeekName } from '../../core/week/week';

/** Several decorators as one. */
const all =
  (...decorators: readonly PropertyDecorator[]): PropertyDecorator =>
  (target, name) =>
    decorators.forEach((decorate) => decorate(target, name));

/** A day of the calendar, as `2027-02-08`. */
export const IsDay = (): PropertyDecorator =>
  ValidateBy({
    name: 'isDay',
    validator: {
      validate: (value: unknown) =>
        typeof value === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(value) && DateTime.fromISO(value).isValid,
      defaultMessage: () => 'a day such as 2027-02-08',
    },
  });

/** A week by its ISO name, as `2027-W06`. */
export const IsWeek = (): PropertyDecorator =>
  ValidateBy({
    name: 'isWeek',
    validator: {
      validate: (value: unknown) => typeof value === 'string' && isWeekName(value),
      defaultMessage: () => 'a week such as 2027-W06',
    },
  });

/** A number that counts something or names a row: whole, from 1 on. */
export const IsCount = (): PropertyDecorator => all(IsInt(), Min(1), Max(Number.MAX_SAFE_INTEGER));

/** What a form was opened with, by its `imageOf`; null: it is new, or is to be written over what is there. */
export const IsSeen = (): PropertyDecorator => all(IsOptional(), IsString(), MaxLength(60));

/** A part that has a class of its own, and that must be there; a list is none, however empty. */
export const HasPart = (type: () => new () => object): PropertyDecorator =>
  all(IsObject(), ValidateNested(), Type(type));

/** Parts that each have a class of their own; nothing else is among them. */
export const HasParts = (type: () => new () => object, least: number, most: number): PropertyDecorator =>
  all(
    IsArray(),
    ArrayMinSize(least),
    ArrayMaxSize(most),
    IsObject({ each: true }),
    ValidateNested({ each: true }),
    Type(type),
  );
