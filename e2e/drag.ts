import type { Locator, Page } from '@playwright/test';

export interface Spot {
  readonly x: number;
  readonly y: number;
}

export const middleOf = async (thing: Locator): Promise<Spot> => {
  const box = (await thing.boundingBox())!;
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};

/** What was let go of has flown home: until then its label would pass for that of the next drag. */
const landed = (page: Page) => page.getByTestId('in-hand').waitFor({ state: 'detached' });

/** With the mouse, px of the window. */
export async function drag(page: Page, from: Spot, to: Spot): Promise<void> {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 4 });
  await page.mouse.move(to.x, to.y, { steps: 4 });
  await page.mouse.up();
  await landed(page);
}

/** By a finger that rests before it goes. */
export async function dragByFinger(page: Page, from: Spot, to: Spot): Promise<void> {
  const hand = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at: Spot | null) =>
    hand.send('Input.dispatchTouchEvent', { type, touchPoints: at ? [{ x: at.x, y: at.y }] : [] });
  await touch('touchStart', from);
  await page.getByTestId('in-hand').waitFor();
  for (let i = 1; i <= 8; i++)
    await touch('touchMove', { x: from.x + ((to.x - from.x) * i) / 8, y: from.y + ((to.y - from.y) * i) / 8 });
  await touch('touchEnd', null);
  await hand.detach();
  await landed(page);
}
