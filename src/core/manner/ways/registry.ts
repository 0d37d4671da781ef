import { align } from './align';
import { banner } from './banner';
import { bannerGround } from './banner-ground';
import { boxes } from './boxes';
import { deco } from './deco';
import { framed } from './framed';
import { keepsRows } from './keeps-rows';
import { leaveOutLoud } from './leave-out-loud';
import { listColors } from './list-colors';
import { lists } from './lists';
import { marksPlaces } from './marks-places';
import { nearBinding } from './near-binding';
import { picturesServe } from './pictures-serve';
import { raised } from './raised';
import { roundBases } from './round-bases';
import { sidebarColors } from './sidebar-colors';
import { stand } from './stand';
import { times } from './times';
import { topBand } from './top-band';
import type { Way, WayValue } from './way';

/** What schools do differently, in the order that the settings show them. One line a way. */
export const WAYS = [
  topBand,
  raised,
  leaveOutLoud,
  lists,
  listColors,
  boxes,
  stand,
  framed,
  keepsRows,
  align,
  roundBases,
  times,
  picturesServe,
  nearBinding,
  marksPlaces,
  sidebarColors,
  deco,
  banner,
  bannerGround,
] as const;

type AnyWay = (typeof WAYS)[number];

/** What a spread is laid out by beyond its options. */
export type Ways = { readonly [W in AnyWay as W['key']]: W extends Way<string, infer V> ? V : never };

/** The usual ways, from which each school departs. Common practice. */
export const USUAL_WAYS = Object.fromEntries(WAYS.map((w) => [w.key, w.usual])) as Ways;

/** True for a way that there is, with a value that it may have. */
export const isWay = (key: string, value: unknown): boolean =>
  WAYS.some((w: Way) => w.key === key && w.values.includes(value as WayValue));
