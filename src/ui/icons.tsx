import type { SVGProps } from 'react';

export interface IconProps extends SVGProps<SVGSVGElement> {
  /** px */
  readonly size?: number;
}

const BOX = { xmlns: 'http://www.w3.org/2000/svg', viewBox: '0 0 24 24' } as const;
const LINE = { fill: 'none', strokeWidth: 2, strokeLinecap: 'round', strokeLinejoin: 'round' } as const;

/**
 * Icons of the screens. From the package @tabler/icons
 * (MIT, docs/licenses/tabler-icons.txt), picked by scripts/pick-icons.mjs.
 */
const icon =
  (paint: (color: string) => SVGProps<SVGSVGElement>, paths: readonly string[]) =>
  ({ size = 24, color = 'currentColor', ...given }: IconProps) => (
    <svg {...BOX} {...paint(color)} width={size} height={size} {...given}>
      {paths.map((d) => (
        <path key={d} d={d} />
      ))}
    </svg>
  );
const outlined = (...paths: readonly string[]) => icon((stroke) => ({ ...LINE, stroke }), paths);
const filled = (...paths: readonly string[]) => icon((fill) => ({ fill }), paths);

export const IconAdjustments = outlined(
  'M4 10a2 2 0 1 0 4 0a2 2 0 0 0 -4 0',
  'M6 4v4',
  'M6 12v8',
  'M10 16a2 2 0 1 0 4 0a2 2 0 0 0 -4 0',
  'M12 4v10',
  'M12 18v2',
  'M16 7a2 2 0 1 0 4 0a2 2 0 0 0 -4 0',
  'M18 4v1',
  'M18 9v11',
);
export const IconArrowBackUp = outlined('M9 14l-4 -4l4 -4', 'M5 10h11a4 4 0 1 1 0 8h-1');
export const IconArrowForwardUp = outlined('M15 14l4 -4l-4 -4', 'M19 10h-11a4 4 0 1 0 0 8h1');
export const IconCalendarShare = outlined(
  'M12 21h-6a2 2 0 0 1 -2 -2v-12a2 2 0 0 1 2 -2h12a2 2 0 0 1 2 2v6',
  'M16 3v4',
  'M8 3v4',
  'M4 11h16',
  'M16 22l5 -5',
  'M21 21.5v-4.5h-4.5',
);
export const IconCalendarWeek = outlined(
  'M4 7a2 2 0 0 1 2 -2h12a2 2 0 0 1 2 2v12a2 2 0 0 1 -2 2h-12a2 2 0 0 1 -2 -2v-12',
  'M16 3v4',
  'M8 3v4',
  'M4 11h16',
  'M7 14h.013',
  'M10.01 14h.005',
  'M13.01 14h.005',
  'M16.015 14h.005',
  'M13.015 17h.005',
  'M7.01 17h.005',
  'M10.01 17h.005',
);
export const IconChevronDown = outlined('M6 9l6 6l6 -6');
export const IconChevronLeft = outlined('M15 6l-6 6l6 6');
export const IconChevronRight = outlined('M9 6l6 6l-6 6');
export const IconDownload = outlined('M4 17v2a2 2 0 0 0 2 2h12a2 2 0 0 0 2 -2v-2', 'M7 11l5 5l5 -5', 'M12 4l0 12');
export const IconFileImport = outlined(
  'M14 3v4a1 1 0 0 0 1 1h4',
  'M5 13v-8a2 2 0 0 1 2 -2h7l5 5v11a2 2 0 0 1 -2 2h-5.5m-9.5 -2h7m-3 -3l3 3l-3 3',
);
export const IconHistory = outlined('M12 8l0 4l2 2', 'M3.05 11a9 9 0 1 1 .5 4m-.5 5v-5h5');
export const IconFlipVertical = outlined('M3 12l18 0', 'M7 16l10 0l-10 5l0 -5', 'M7 8l10 0l-10 -5l0 5');
export const IconGripVertical = outlined(
  'M8 5a1 1 0 1 0 2 0a1 1 0 1 0 -2 0',
  'M8 12a1 1 0 1 0 2 0a1 1 0 1 0 -2 0',
  'M8 19a1 1 0 1 0 2 0a1 1 0 1 0 -2 0',
  'M14 5a1 1 0 1 0 2 0a1 1 0 1 0 -2 0',
  'M14 12a1 1 0 1 0 2 0a1 1 0 1 0 -2 0',
  'M14 19a1 1 0 1 0 2 0a1 1 0 1 0 -2 0',
);
export const IconKeyboard = outlined(
  'M2 8a2 2 0 0 1 2 -2h16a2 2 0 0 1 2 2v8a2 2 0 0 1 -2 2h-16a2 2 0 0 1 -2 -2l0 -8',
  'M6 10l0 .01',
  'M10 10l0 .01',
  'M14 10l0 .01',
  'M18 10l0 .01',
  'M6 14l0 .01',
  'M18 14l0 .01',
  'M10 14l4 .01',
);
export const IconLayoutSidebarRightCollapse = outlined(
  'M4 6a2 2 0 0 1 2 -2h12a2 2 0 0 1 2 2v12a2 2 0 0 1 -2 2h-12a2 2 0 0 1 -2 -2l0 -12',
  'M15 4v16',
  'M9 10l2 2l-2 2',
);
export const IconLayoutSidebarRightExpand = outlined(
  'M4 6a2 2 0 0 1 2 -2h12a2 2 0 0 1 2 2v12a2 2 0 0 1 -2 2h-12a2 2 0 0 1 -2 -2l0 -12',
  'M15 4v16',
  'M10 10l-2 2l2 2',
);
export const IconListDetails = outlined(
  'M13 5h8',
  'M13 9h5',
  'M13 15h8',
  'M13 19h5',
  'M3 5a1 1 0 0 1 1 -1h4a1 1 0 0 1 1 1v4a1 1 0 0 1 -1 1h-4a1 1 0 0 1 -1 -1l0 -4',
  'M3 15a1 1 0 0 1 1 -1h4a1 1 0 0 1 1 1v4a1 1 0 0 1 -1 1h-4a1 1 0 0 1 -1 -1l0 -4',
);
export const IconLock = outlined(
  'M5 13a2 2 0 0 1 2 -2h10a2 2 0 0 1 2 2v6a2 2 0 0 1 -2 2h-10a2 2 0 0 1 -2 -2v-6',
  'M11 16a1 1 0 1 0 2 0a1 1 0 0 0 -2 0',
  'M8 11v-4a4 4 0 1 1 8 0v4',
);
export const IconLockOpen = outlined(
  'M5 13a2 2 0 0 1 2 -2h10a2 2 0 0 1 2 2v6a2 2 0 0 1 -2 2h-10a2 2 0 0 1 -2 -2l0 -6',
  'M11 16a1 1 0 1 0 2 0a1 1 0 1 0 -2 0',
  'M8 11v-5a4 4 0 0 1 8 0',
);
export const IconMinus = outlined('M5 12l14 0');
export const IconNotebook = outlined(
  'M6 4h11a2 2 0 0 1 2 2v12a2 2 0 0 1 -2 2h-11a1 1 0 0 1 -1 -1v-14a1 1 0 0 1 1 -1m3 0v18',
  'M13 8l2 0',
  'M13 12l2 0',
);
export const IconPhoto = outlined(
  'M15 8h.01',
  'M3 6a3 3 0 0 1 3 -3h12a3 3 0 0 1 3 3v12a3 3 0 0 1 -3 3h-12a3 3 0 0 1 -3 -3v-12',
  'M3 16l5 -5c.928 -.893 2.072 -.893 3 0l5 5',
  'M14 14l1 -1c.928 -.893 2.072 -.893 3 0l3 3',
);
export const IconPlus = outlined('M12 5l0 14', 'M5 12l14 0');
export const IconPrinter = outlined(
  'M17 17h2a2 2 0 0 0 2 -2v-4a2 2 0 0 0 -2 -2h-14a2 2 0 0 0 -2 2v4a2 2 0 0 0 2 2h2',
  'M17 9v-4a2 2 0 0 0 -2 -2h-6a2 2 0 0 0 -2 2v4',
  'M7 15a2 2 0 0 1 2 -2h6a2 2 0 0 1 2 2v4a2 2 0 0 1 -2 2h-6a2 2 0 0 1 -2 -2l0 -4',
);
export const IconRotateClockwise = outlined('M4.05 11a8 8 0 1 1 .5 4m-.5 5v-5h5');
export const IconRuler2 = outlined(
  'M17 3l4 4l-14 14l-4 -4l14 -14',
  'M16 7l-1.5 -1.5',
  'M13 10l-1.5 -1.5',
  'M10 13l-1.5 -1.5',
  'M7 16l-1.5 -1.5',
);
export const IconSearch = outlined('M3 10a7 7 0 1 0 14 0a7 7 0 1 0 -14 0', 'M21 21l-6 -6');
export const IconStackBack = outlined(
  'M4 8l8 4l8 -4l-8 -4l-8 4',
  'M12 16l-4 -2l-4 2l8 4l8 -4l-4 -2l-4 2',
  'M8 10l-4 2l4 2m8 0l4 -2l-4 -2',
);
export const IconStackFront = outlined(
  'M12 4l-8 4l8 4l8 -4l-8 -4',
  'M8 14l-4 2l8 4l8 -4l-4 -2',
  'M8 10l-4 2l8 4l8 -4l-4 -2',
);
export const IconSticker = outlined('M20 12l-2 .5a6 6 0 0 1 -6.5 -6.5l.5 -2l8 8', 'M20 12a8 8 0 1 1 -8 -8');
export const IconSunHigh = outlined(
  'M14.828 14.828a4 4 0 1 0 -5.656 -5.656a4 4 0 0 0 5.656 5.656',
  'M6.343 17.657l-1.414 1.414',
  'M6.343 6.343l-1.414 -1.414',
  'M17.657 6.343l1.414 -1.414',
  'M17.657 17.657l1.414 1.414',
  'M4 12h-2',
  'M12 4v-2',
  'M20 12h2',
  'M12 20v2',
);
export const IconTrash = outlined(
  'M4 7l16 0',
  'M10 11l0 6',
  'M14 11l0 6',
  'M5 7l1 12a2 2 0 0 0 2 2h8a2 2 0 0 0 2 -2l1 -12',
  'M9 7v-3a1 1 0 0 1 1 -1h4a1 1 0 0 1 1 1v3',
);
export const IconX = outlined('M18 6l-12 12', 'M6 6l12 12');
export const IconCircleCheckFilled = filled(
  'M17 3.34a10 10 0 1 1 -14.995 8.984l-.005 -.324l.005 -.324a10 10 0 0 1 14.995 -8.336zm-1.293 5.953a1 1 0 0 0 -1.32 -.083l-.094 .083l-3.293 3.292l-1.293 -1.292l-.094 -.083a1 1 0 0 0 -1.403 1.403l.083 .094l2 2l.094 .083a1 1 0 0 0 1.226 0l.094 -.083l4 -4l.083 -.094a1 1 0 0 0 -.083 -1.32z',
);
