import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useStore } from 'zustand';
import type { Doubt } from '../../core/scan/found';
import type { Sticker } from '../../core/scan/correct';
import { traits } from '../../core/kit/kinds';
import { counted } from '../../core/spread/voice';
import { GLASS } from '../theme';
import type { Scan } from './SheetList';
import type { ScanSheet } from './store';

const DOUBT: Readonly<Record<Doubt, string>> = {
  faint: 'only its cut line shows',
  glare: 'light shines on it',
  parting: 'is it one sticker?',
  kind: 'what is it?',
  used: 'used up already?',
};

/** The designs of a sheet, those that are doubtful first; a click chooses all copies, with Shift or Ctrl beside
 * what is chosen already. */
export function StickerList({ scan, sheet }: { scan: Scan; sheet: ScanSheet }) {
  const { selected, select } = useStore(scan);
  const designs = [...new Set(sheet.stickers.map((s) => s.design))].map((design) =>
    sheet.stickers.filter((s) => s.design === design),
  );
  const choose = (copies: readonly Sticker[], more: boolean) => {
    const ids = copies.map((c) => c.id);
    if (!more) return select(ids);
    const others = selected.filter((id) => !ids.includes(id));
    select(ids.every((id) => selected.includes(id)) ? others : [...others, ...ids]);
  };
  const doubtful = (copies: readonly Sticker[]) => copies.some((s) => s.doubts.length);
  const ordered = [...designs.filter(doubtful), ...designs.filter((d) => !doubtful(d))];
  return (
    <Box
      component="ul"
      aria-label="Designs"
      sx={{ listStyle: 'none', m: 0, p: 1, overflowY: 'auto', flex: 1, minHeight: 160 }}
    >
      {ordered.map((copies) => {
        const s = copies[0] as Sticker;
        const chosen = copies.some((c) => selected.includes(c.id));
        const doubts = [...new Set(copies.flatMap((c) => c.doubts))];
        return (
          <li key={s.design}>
            <ButtonBase
              data-testid="design"
              onClick={(e) => choose(copies, e.shiftKey || e.ctrlKey || e.metaKey)}
              aria-pressed={chosen}
              sx={{
                width: '100%',
                display: 'flex',
                gap: 1,
                p: 0.75,
                textAlign: 'left',
                borderRadius: 1,
                background: chosen ? GLASS.milk : undefined,
                justifyContent: 'flex-start',
              }}
            >
              <Thumb sheet={sheet} sticker={s} />
              <Box sx={{ minWidth: 0 }}>
                <Typography variant="body2">
                  {counted(copies.length, traits(s.kind).label, traits(s.kind).plural)}
                  {s.words ? ` “${s.words}”` : ''}
                </Typography>
                <Typography
                  variant="caption"
                  color={doubts.length ? 'error' : 'text.secondary'}
                  sx={{ display: 'block' }}
                >
                  {s.w.toFixed(1)} × {s.h.toFixed(1)} mm{s.rows ? `, ${s.rows} rows` : ''}
                  {doubts.length ? ` · ${doubts.map((d) => DOUBT[d]).join(', ')}` : ''}
                </Typography>
              </Box>
            </ButtonBase>
          </li>
        );
      })}
    </Box>
  );
}

const THUMB = [52, 38] as const;

/** The sticker cut out of the sheet's picture, small. */
function Thumb({ sheet, sticker: { x, y, w, h } }: { sheet: ScanSheet; sticker: Sticker }) {
  const scale = Math.min(THUMB[0] / w, THUMB[1] / h);
  return (
    <Box sx={{ width: THUMB[0], height: THUMB[1], flexShrink: 0, display: 'grid', placeItems: 'center' }} aria-hidden>
      <svg viewBox={`${x} ${y} ${w} ${h}`} width={w * scale} height={h * scale}>
        {sheet.picture && (
          <image href={sheet.picture} width={sheet.width} height={sheet.height} preserveAspectRatio="none" />
        )}
      </svg>
    </Box>
  );
}
