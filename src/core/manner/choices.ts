import type { Options } from './options/registry';
import type { Manner } from './registry';
import { mannerNamed } from './registry';
import type { Setting } from './settings';
import { settingGroups } from './settings';
import type { Ways } from './ways/registry';

/** How a week was laid out in one respect: what was set, and to what. */
export interface Made {
  readonly setting: Setting;
  readonly value: unknown;
}

/** What a school is liked to be laid out with: over nothing it is liked, under nothing it is not. */
export interface LikedChoice {
  /** `choiceOf` */
  readonly choice: string;
  readonly weight: number;
}

/** What a spread sets beside its school's habits. */
interface Own {
  readonly options: Partial<Options>;
  readonly ways: Partial<Ways>;
}

const SETTINGS = settingGroups().flatMap((g) => g.settings);

/** A choice as it is kept: `boxes=3`. */
export const choiceOf = ({ setting, value }: Made): string => `${setting.key}=${String(value)}`;

/** The choice of that name; undefined where none of the settings has it. */
export function choiceNamed(name: string): Made | undefined {
  for (const setting of SETTINGS)
    for (const { value } of setting.choices) if (choiceOf({ setting, value }) === name) return { setting, value };
  return undefined;
}

/** `Header colors: alternating` */
export const sayChoice = ({ setting, value }: Made): string =>
  `${setting.label}: ${setting.choices.find((c) => c.value === value)?.label ?? String(value)}`;

/** `Full boxes · They stand: floor`, for where nothing else says what it is of. */
export const sayChoiceInFull = (made: Made): string => `${made.setting.group} · ${sayChoice(made)}`;

const ofSchool = ({ habits, ways }: Manner, setting: Setting): unknown =>
  setting.of === 'options' ? habits[setting.key] : ways[setting.key];

const ofSpread = (school: Manner, own: Own, setting: Setting): unknown =>
  (setting.of === 'options' ? own.options[setting.key] : own.ways[setting.key]) ?? ofSchool(school, setting);

/** All that a spread was laid out with and that may be set otherwise; what its owner set first. */
export function choicesMade(manner: string, own: Own): Made[] {
  const school = mannerNamed(manner);
  if (!school) return [];
  const made = SETTINGS.map((setting) => ({ setting, value: ofSpread(school, own, setting) })).filter(
    ({ setting, value }) => setting.choices.some((c) => c.value === value),
  );
  const isOwn = ({ setting, value }: Made): boolean => ofSchool(school, setting) !== value;
  return [...made.filter(isOwn), ...made.filter((m) => !isOwn(m))];
}

/**
 * What a new week of a school is set to by what was liked of weeks before: the value that is liked most; where the
 * school's own is not liked and none is, the other one, if there are but two. Nothing where the school's own stands.
 */
export function leanings(manner: string, liked: readonly LikedChoice[]): Made[] {
  const school = mannerNamed(manner);
  if (!school || !liked.length) return [];
  const weights = new Map(liked.map((l) => [l.choice, l.weight]));
  return SETTINGS.flatMap((setting) => {
    const weightOf = (value: unknown): number => weights.get(choiceOf({ setting, value })) ?? 0;
    const own = ofSchool(school, setting);
    const [best] = setting.choices
      .filter((c) => c.value !== own)
      .map(({ value }) => ({ setting, value }))
      .sort((a, b) => weightOf(b.value) - weightOf(a.value));
    if (!best || weightOf(best.value) <= weightOf(own)) return [];
    return weightOf(best.value) > 0 || setting.choices.length === 2 ? [best] : [];
  });
}

/** Choices as a spread's own settings. */
export function ownOf(choices: readonly Made[]): Own {
  const of = (what: Setting['of']) =>
    Object.fromEntries(choices.flatMap(({ setting, value }) => (setting.of === what ? [[setting.key, value]] : [])));
  return { options: of('options'), ways: of('ways') };
}
