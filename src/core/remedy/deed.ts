import type { Options } from '../manner/options/registry';
import type { Section } from '../manner/section';
import type { Ways } from '../manner/ways/registry';
import type { Deed } from '../edit/deed';
import type { IsoDay } from '../week/week';

/** What a remedy does that changes a setting, or something beside the spread; as data. */
export type Setting =
  | { readonly do: 'leave out'; readonly section: Section }
  | { readonly do: 'without'; readonly what: 'banner' | 'date covers' | 'headers' | 'bottom washi' | 'top band' }
  | { readonly do: 'so many boxes'; readonly count: number }
  | { readonly do: 'cover month flags' }
  | { readonly do: 'align'; readonly align: Ways['align'] }
  | { readonly do: 'headers'; readonly habit: Options['headers'] }
  | { readonly do: 'foils'; readonly foils: readonly string[] }
  | { readonly do: 'less white' }
  | { readonly do: 'allow notes' }
  | { readonly do: 'space littles' }
  | { readonly do: 'another roll'; readonly meters: number }
  | { readonly do: 'write first' }
  | { readonly do: 'whited out' }
  | { readonly do: 'both meant' }
  | { readonly do: 'put off'; readonly title: string; readonly to: IsoDay };

export type RemedyDeed = Deed | Setting;
