import type { Step } from './step';

/** The short cautions of the trade, shown where knife and fluid come up (handbook 8). */
export const CAUTIONS: Readonly<Partial<Record<Step['do'], string>>> = {
  cut: 'Cut on a mat, along a metal ruler, away from the hand that holds. Cap the blade when it rests; change it when it drags. Out of children’s reach.',
  'white-out':
    'Correction fluid is a flammable solvent: air the room, no flame, keep it off skin and ink. The maker’s label goes first.',
  place: 'Keep small pieces away from small children. On a long evening, look up and stretch the hand now and then.',
};
