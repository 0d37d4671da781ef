'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import FormControl from '@mui/material/FormControl';
import InputLabel from '@mui/material/InputLabel';
import NativeSelect from '@mui/material/NativeSelect';
import OutlinedInput from '@mui/material/OutlinedInput';
import Typography from '@mui/material/Typography';
import { SearchField } from '../fields/SearchField';
import { later } from '../later';
import type { KeyboardEvent } from 'react';
import { memo, useMemo, useState } from 'react';
import { Draft } from '../../core/spread/draft';
import { tableKits } from '../../core/kit/is-of';
import type { Kit, Piece } from '../../core/kit/kit';
import { isRoll } from '../../core/kit/kit';
import { traits } from '../../core/kit/kinds';
import type { Ledger } from '../../core/kit/ledger';
import { wholeOf } from '../../core/kit/ledger';
import type { Sheet } from '../../core/kit/sheet-layout';
import { sheetsOf } from '../../core/kit/sheet-layout';
import { own } from '../../core/measure/own';
import { subtract } from '../../core/measure/rect';
import { ruled } from '../../core/measure/fraction';
import { GLASS } from '../theme';
import { carriedBy } from './carry/use-carry';
import { useSpread } from './store';
import type { Acts, CopyLook } from '../sticker/SheetView';
import { SheetView } from '../sticker/SheetView';
import { symbolId } from '../sticker/symbol-id';
import { useKitName } from '../kit-names';
import { sentence } from '../../core/spread/voice';
import { looksName } from '../../core/spread/looks-name';

const StashDialog = later(() => import('./StashDialog').then((m) => m.StashDialog));

const STEPS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/** The kit's sheets as they lie on the table, true to scale beside each other; a used sticker leaves its gap. */
export function Sheets() {
  const called = useKitName();
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const picked = useSpread((s) => s.picked);
  const pick = useSpread((s) => s.pick);
  const kits = useMemo(() => tableKits(context), [context]);
  const [kitName, setKitName] = useState(kits[0]?.name ?? '');
  const [search, setSearch] = useState('');
  const [choosing, setChoosing] = useState(false);
  const ledger = useMemo(() => Draft.begin(context, placements).ledger, [context, placements]);
  const shown = useMemo<Kit>(() => {
    const kit = kits.find((k) => k.name === kitName) ?? context.kit;
    return { ...kit, pieces: kit.pieces.filter((p) => matches(p, search)) };
  }, [kits, context, kitName, search]);
  const sheets = useMemo(() => sheetsOf(shown), [shown]);
  const widest = Math.max(1, ...sheets.map((s) => s.width));
  const choose = (piece: Piece) => pick(picked === piece ? null : piece);
  const free = shown.pieces.filter((p) => !isRoll(p) && firstFree(p, ledger));
  // one stop for Tab; the arrows go from one free sticker to the next
  const [stop, setStop] = useState<string | null>(null);
  const at = free.find((p) => p.code === stop) ?? free[0];
  const walk = (e: KeyboardEvent) => {
    const by = own(STEPS, e.key);
    if (!by) return;
    e.preventDefault();
    const next = free[(free.findIndex((p) => p === at) + by + free.length) % Math.max(1, free.length)];
    if (!next) return;
    setStop(next.code);
    const sheet = e.currentTarget;
    requestAnimationFrame(() => sheet.querySelector<SVGGElement>('[role="button"][tabindex="0"]')?.focus());
  };
  return (
    <Box
      component="section"
      aria-label="Sheets"
      sx={{
        flex: 1,
        minWidth: 0,
        display: 'flex',
        flexDirection: 'column',
        minHeight: 0,
      }}
    >
      <Box sx={{ p: 1.25, pt: 1.75, display: 'flex', flexDirection: 'column', gap: 1 }}>
        <FormControl size="small">
          <InputLabel htmlFor="on-the-table">On the table</InputLabel>
          <NativeSelect
            input={<OutlinedInput id="on-the-table" label="On the table" />}
            value={kitName}
            onChange={(e) => setKitName(e.target.value)}
          >
            {kits.map((k) => (
              <option key={k.name} value={k.name}>
                {called(k.name)}
                {context.stash.some((s) => s.name === k.name) ? ' (stash)' : ''}
              </option>
            ))}
          </NativeSelect>
        </FormControl>
        <Button size="small" onClick={() => setChoosing(true)} sx={{ alignSelf: 'flex-start' }}>
          Choose the stash
        </Button>
        {choosing && <StashDialog onClose={() => setChoosing(false)} />}
        <SearchField
          label="Search the stickers"
          placeholder="header, coffee, coral…"
          value={search}
          onChange={setSearch}
        />
      </Box>
      <Box
        data-arrows
        onKeyDown={walk}
        sx={{ overflowY: 'auto', flex: 1, px: 1.25, pb: 2, display: 'flex', flexDirection: 'column', gap: 1.25 }}
      >
        {shown.pieces.length === 0 && (
          <Typography variant="body2" color="text.secondary">
            No sticker here is called that. Try a kind, a word or an icon.
          </Typography>
        )}
        {sheets.map((sheet) => (
          <SpreadSheet
            key={sheet.number}
            sheet={sheet}
            widest={widest}
            ledger={ledger}
            picked={picked}
            stop={at?.code ?? null}
            onPick={choose}
            carry={(piece) => carriedBy({ is: 'sticker', piece })}
          />
        ))}
        {shown.pieces.filter(isRoll).map((p) => (
          <Roll
            key={p.code}
            piece={p}
            left={ledger.lengthLeft(p)}
            picked={picked === p}
            onPick={choose}
            unit={context.book.unit}
          />
        ))}
      </Box>
    </Box>
  );
}

function matches(p: Piece, search: string): boolean {
  const words = search.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const text = [p.code, p.kind, traits(p.kind).label, p.words, p.icon, p.motif, p.color, p.foil]
    .join(' ')
    .toLowerCase();
  return words.every((w) => text.includes(w));
}

const SpreadSheet = memo(function SpreadSheet({
  sheet,
  widest,
  ledger,
  picked,
  stop,
  onPick,
  carry,
}: {
  sheet: Sheet;
  widest: number;
  ledger: Ledger;
  picked: Piece | null;
  /** code of the sticker that Tab stops at */
  stop: string | null;
  onPick: (p: Piece) => void;
  carry: (p: Piece) => Acts;
}) {
  const gone = sheet.lying.filter((l) => ledger.partsOf(l.piece, l.copy).length > 0).length;
  const lookOf = (piece: Piece, copy: number): CopyLook => {
    const parts = ledger.partsOf(piece, copy);
    const free = parts.length === 0;
    return {
      free,
      rest: free ? [] : subtract(wholeOf(piece), parts).filter((r) => r.w > SEEN && r.h > SEEN),
      chosen: picked === piece && free,
      state: free ? '' : 'used',
      focusable: free && piece.code === stop && copy === firstFree(piece, ledger),
      testId: free ? 'free-sticker' : 'gap',
    };
  };
  const pick = (piece: Piece) => {
    if (firstFree(piece, ledger)) onPick(piece);
  };
  return (
    <Box sx={{ contentVisibility: 'auto' }}>
      <SheetView
        sheet={sheet}
        width={`${(sheet.width / widest) * 100}%`}
        lookOf={lookOf}
        onChoose={pick}
        acts={carry}
        caption={
          <Typography variant="caption" color="text.secondary">
            Sheet {sheet.number} · {sheet.lying.length - gone} of {sheet.lying.length} left
          </Typography>
        }
      />
    </Box>
  );
});

/** What is left of a cut sticker is shown when it is longer and wider than this, mm. */
const SEEN = 3;

function firstFree(piece: Piece, ledger: Ledger): number {
  for (let copy = 1; copy <= piece.count; copy++) if (ledger.partsOf(piece, copy).length === 0) return copy;
  return 0;
}

/** Washi on its roll: a piece of it, and how much is left. */
function Roll({
  piece,
  left,
  picked,
  onPick,
  unit,
}: {
  piece: Piece;
  left: number;
  picked: boolean;
  onPick: (p: Piece) => void;
  unit: 'mm' | 'in';
}) {
  return (
    <ButtonBase
      onClick={() => onPick(piece)}
      disabled={left < 10}
      aria-pressed={picked}
      sx={{
        display: 'block',
        textAlign: 'left',
        borderRadius: 1,
        outline: picked ? `2px solid ${GLASS.amber}` : 'none',
      }}
    >
      <svg viewBox={`0 0 110 ${piece.height}`} style={{ width: '100%', display: 'block' }} aria-hidden>
        <use href={`#${symbolId(piece)}`} />
      </svg>
      <Typography variant="caption" color="text.secondary" title={piece.code}>
        {sentence(looksName(piece))}: {ruled(left, unit)} left, {ruled(piece.height, unit)} wide
      </Typography>
    </ButtonBase>
  );
}
