import { SEEDS, seedDatabase } from './server';

/** Lays both scenarios once, before any test: each worker would lay its own. */
export default async function laySeeds(): Promise<void> {
  await Promise.all(SEEDS.map((past) => seedDatabase(past)));
}
