'use server';

import { revalidatePath } from 'next/cache';
import { BadInput, quoted } from '../core/format/fault';
import type { MemoryOffer } from '../core/keep/memory-pieces';
import { layMemory } from '../core/keep/memory-pieces';
import { findSheet } from '../core/scan/find-sheet';
import type { Quad } from '../core/scan/homography';
import { straightened } from '../core/scan/straighten';
import { contextFrom } from '../core/spread/context';
import { setPhoto, setRating, setTags } from '../db/keeps';
import { makeEdit } from '../db/spread-edits';
import { check } from './dto/check';
import { LayMemoryDto, PhotoDto, RateDto, SpreadIdDto, StraightenDto, TagsDto } from './dto/spread.dto';
import { memoryOffers } from './memory';
import { mustBeKept, mustLoad } from './must-be-there';
import { inOneStroke } from './one-stroke';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { keepRaster, rasterOf, readPicture } from './pictures';
import { store } from './store';
import { today } from './today';

/** How well a week that is on paper came out: 1 to 5, or 0 for nothing said. */
export async function rateSpread(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (trx) => {
    const { spreadId, rating } = check(RateDto, input, 'rating');
    await mustBeKept(spreadId);
    await setRating(trx, spreadId, rating);
    return null;
  }, 'shelf');
}

/** Words that its owner finds the week by. */
export async function tagSpread(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (trx) => {
    const { spreadId, tags } = check(TagsDto, input, 'tags');
    await mustBeKept(spreadId);
    const clean = [...new Set(tags.map((t) => t.trim().replace(/^#+/, '')).filter(Boolean))];
    await setTags(trx, spreadId, clean);
    return null;
  }, 'shelf');
}

/** A photo and where the open book is in it. */
export interface PhotoCorners {
  readonly width: number;
  readonly height: number;
  readonly corners: Quad;
  /** false: no book was told from what is behind it */
  readonly sure: boolean;
}

/** Looks for the open book in the photo of a spread. */
export async function cornersOfPhoto(input: unknown): Promise<Outcome<PhotoCorners>> {
  return outcome(async () => {
    const { spreadId } = check(SpreadIdDto, input, 'photo');
    const photo = await rasterOf((await mustBeKept(spreadId)).photo);
    if (!photo) throw noPhoto();
    const { corners, sure } = findSheet(photo);
    return { width: photo.width, height: photo.height, corners, sure };
  });
}

/** Pixels a mm of a straightened photo, at most: no more than the photo has. */
const SCALE = 6;

/** Undoes the tilt of a photo, by the corners of the book in it. @returns the photo as it was, to go back to */
export async function straightenPhoto(input: unknown): Promise<Outcome<{ readonly before: string }>> {
  return outcome(async () => {
    const { spreadId, corners } = check(StraightenDto, input, 'photo');
    const { photo: before } = await mustBeKept(spreadId);
    const photo = await rasterOf(before);
    if (!photo) throw noPhoto();
    const spread = await mustLoad(spreadId);
    const { pages } = spread.context.book;
    const width = pages.reduce((sum, p) => sum + p.width, 0);
    const height = Math.max(...pages.map((p) => p.height));
    const quad = corners.map(({ x, y }) => ({ x, y })) as unknown as Quad;
    const scale = Math.min(SCALE, Math.hypot(quad[1].x - quad[0].x, quad[1].y - quad[0].y) / width);
    if (!(scale > 0.5)) throw badCorners();
    let flat;
    try {
      flat = straightened(photo, quad, width, height, scale);
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      throw badCorners();
    }
    await setPhoto(await store(), spreadId, await keepRaster(flat));
    revalidatePath('/');
    return { before };
  });
}

/** Goes back to a photo that was kept before. */
export async function takePhotoBack(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (trx) => {
    const { spreadId, photo } = check(PhotoDto, input, 'photo');
    await mustBeKept(spreadId);
    if (!readPicture(photo)) throw noPhoto();
    await setPhoto(trx, spreadId, photo);
    return null;
  }, 'shelf');
}

const noPhoto = (): BadInput =>
  new BadInput([{ file: 'photo', where: 'spread', found: 'no photo', expected: 'a photo that is kept with it' }]);
const badCorners = (): BadInput =>
  new BadInput([
    {
      file: 'photo',
      where: 'corners',
      found: 'some that lie together or on one line',
      expected: 'the four corners of the open book',
    },
  ]);

/** Leftovers for the empty places of a spread. */
export async function memoryOffersOf(input: unknown): Promise<Outcome<readonly MemoryOffer[]>> {
  return outcome(async () => {
    const { spreadId } = check(SpreadIdDto, input, 'spread');
    return memoryOffers(await mustLoad(spreadId), await today());
  });
}

/** Lays a leftover in an empty place of a day that is over. @returns what is offered then */
export async function layMemoryPiece(input: unknown): Promise<Outcome<readonly MemoryOffer[]>> {
  return inOneStroke(async (trx) => {
    const { spreadId, text, ...offer } = check(LayMemoryDto, input, 'piece');
    const { context, placements } = await mustLoad(spreadId);
    const change = layMemory(contextFrom(context), placements, offer, text);
    if (change === 'no place')
      throw new BadInput([
        { file: 'piece', where: offer.code, found: 'no room for it, or none left', expected: 'an empty place' },
      ]);
    if (change === 'no room')
      throw new BadInput([
        { file: 'piece', where: offer.code, found: quoted(text), expected: 'a word it has room for' },
      ]);
    await makeEdit(trx, spreadId, change);
    return memoryOffers(await mustLoad(spreadId), await today());
  });
}
