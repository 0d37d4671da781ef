import type { Choice, Option } from './options/option';
import type { Options } from './options/registry';
import { OPTIONS } from './options/registry';
import type { Way, WayValue } from './ways/way';
import type { Ways } from './ways/registry';
import { WAYS } from './ways/registry';

/** One thing that can be set for a spread, with what it may be set to. */
export type Setting = {
  readonly label: string;
  readonly group: string;
  readonly often?: true;
  readonly choices: readonly Choice<unknown>[];
} & ({ readonly of: 'options'; readonly key: keyof Options } | { readonly of: 'ways'; readonly key: keyof Ways });

const said = (value: WayValue): string =>
  value === true ? 'yes' : value === false ? 'no' : String(value).replace(/-/g, ' ');

const fromOption = ({ key, setting, choices }: Option & { readonly key: keyof Options }): Setting[] =>
  setting ? [{ of: 'options', key, choices, ...setting }] : [];

const fromWay = ({ key, label, group, often, values }: Way & { readonly key: keyof Ways }): Setting => ({
  of: 'ways',
  key,
  label,
  group,
  ...(often && { often }),
  choices: values.map((value) => ({ value, label: said(value) })),
});

/** Everything that the registries of options and ways say can be set, by the part of the page it shapes. */
export function settingGroups(): { readonly group: string; readonly settings: readonly Setting[] }[] {
  const all = [...OPTIONS.flatMap((o) => fromOption(o)), ...WAYS.map((w) => fromWay(w))];
  return [...new Set(all.map((s) => s.group))].map((group) => ({
    group,
    settings: all.filter((s) => s.group === group),
  }));
}
