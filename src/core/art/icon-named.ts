import { own } from '../measure/own';
import { ICONS } from './icons';

/** The paths of an icon by what it means, in a 24 x 24 box; undefined for a word that nobody has drawn. */
export const iconNamed = (meaning: string): readonly string[] | undefined => own(ICONS, meaning);

/** What the icons mean that are drawn, in the order of the alphabet. */
export const ICON_NAMES: readonly string[] = Object.keys(ICONS).sort();
