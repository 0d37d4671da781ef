'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import {
  IconKeyboard,
  IconLayoutSidebarRightCollapse,
  IconLayoutSidebarRightExpand,
  IconListDetails,
  IconMinus,
  IconPlus,
  IconRuler2,
} from '../icons';
import { later } from '../later';
import { useRouter } from 'next/navigation';
import type { RefObject } from 'react';
import { useCallback, useState } from 'react';
import { spokenName } from '../../core/kit/kit';
import { centerX, centerY } from '../../core/measure/rect';
import { dropSpread } from '../../server/bench-actions';
import { showKeys } from '../keys/Keys';
import { useTrueSize } from '../use-true-size';
import { trueSize, zoomed } from './board/camera';
import { STEP } from './board/use-camera';
import { useWhole } from './board/use-whole';
import type { Zoom } from './store';
import { useSpread } from './store';
import { Hint } from '../Hint';
import { useKitName } from '../kit-names';

const WaysDialog = later(() => import('./ways/WaysDialog').then((m) => m.WaysDialog));
const BeginAnewDialog = later(() => import('./BeginAnewDialog').then((m) => m.BeginAnewDialog));
const MannerDialog = later(() => import('./manner/MannerDialog').then((m) => m.MannerDialog));
const ReadingDialog = later(() => import('./ReadingDialog').then((m) => m.ReadingDialog));

type Open = 'others' | 'manner' | 'anew' | 'reading' | null;

/** Over the book: what it is laid out from and how, and how near it is looked at. */
export function BoardBar({ room }: { room: RefObject<HTMLElement | null> }) {
  const called = useKitName();
  const id = useSpread((s) => s.data.id);
  const context = useSpread((s) => s.context);
  const busy = useSpread((s) => s.busy);
  const zoom = useSpread((s) => s.zoom);
  const setZoom = useSpread((s) => s.setZoom);
  const folded = useSpread((s) => s.folded);
  const fold = useSpread((s) => s.fold);
  const arrange = useSpread((s) => s.arrange);
  const complain = useSpread((s) => s.complain);
  const adapted = useSpread((s) => Object.keys(s.data.own.options).length + Object.keys(s.data.own.ways).length > 0);
  const [open, setOpen] = useState<Open>(null);
  const close = () => setOpen(null);
  const placements = useSpread((s) => s.placements);
  /** what lay there when every other way came out like it */
  const [none, setNone] = useState<typeof placements | null>(null);
  const noteNone = useCallback(() => setNone(placements), [placements]);
  const router = useRouter();
  const four = context.book.pages.length > 2;
  const giveUp = async (stuck: readonly string[]) => {
    const gone = await dropSpread({ spreadId: id, stuck }).catch(() => null);
    if (gone?.ok) router.push('/');
    else complain(gone ? gone.messages : ['The server could not be reached; the week is still there.']);
    close();
  };
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        px: 1.5,
        py: 0.5,
        columnGap: { xs: 0, lg: 0.5 },
        '& .MuiButton-root': { px: { xs: 0.75, lg: 1.25 }, minWidth: 0 },
      }}
    >
      <Typography
        variant="caption"
        color="text.secondary"
        sx={{ flex: '1 1 60px', minWidth: 0, display: { xs: 'none', lg: 'block' } }}
        noWrap
      >
        {context.book.name} · {called(context.kit.name)}
      </Typography>
      <Button size="small" onClick={() => setOpen('others')} disabled={!!busy || none === placements}>
        {none === placements ? 'No other way' : 'Other ways'}
      </Button>
      <Button size="small" onClick={() => setOpen('manner')} disabled={!!busy}>
        Manner: {spokenName(context.manner.name)}
        {adapted ? ', adapted' : ''}
      </Button>
      <Button size="small" onClick={() => setOpen('anew')} disabled={!!busy}>
        Start over
      </Button>
      <ToggleButtonGroup
        size="small"
        exclusive
        value={zoom}
        onChange={(_, v: Zoom | null) => v !== null && setZoom(v)}
        aria-label="Pages shown"
      >
        <ToggleButton value={0}>{four ? '1–2' : 'Left'}</ToggleButton>
        <ToggleButton value="both">{four ? 'All' : 'Both'}</ToggleButton>
        <ToggleButton value={1}>{four ? '3–4' : 'Right'}</ToggleButton>
      </ToggleButtonGroup>
      <Nearness room={room} />
      <Small title="The week as a list" onClick={() => setOpen('reading')}>
        <IconListDetails size={18} />
      </Small>
      <Small title="The keys" onClick={showKeys}>
        <IconKeyboard size={18} />
      </Small>
      <Small title={folded ? 'Show the drawer' : 'The book alone'} onClick={() => fold(!folded)}>
        {folded ? <IconLayoutSidebarRightExpand size={18} /> : <IconLayoutSidebarRightCollapse size={18} />}
      </Small>
      {open === 'others' && <WaysDialog onClose={close} onNone={noteNone} />}
      {open === 'manner' && <MannerDialog onClose={close} />}
      {open === 'reading' && <ReadingDialog onClose={close} />}
      {open === 'anew' && (
        <BeginAnewDialog
          onClose={close}
          onGiveUp={(stuck) => void giveUp(stuck)}
          onArrange={() => {
            close();
            arrange('anew');
          }}
        />
      )}
    </Box>
  );
}

function Nearness({ room }: { room: RefObject<HTMLElement | null> }) {
  const camera = useSpread((s) => s.camera);
  const setCamera = useSpread((s) => s.setCamera);
  const { whole } = useWhole();
  const [pixels] = useTrueSize();
  const seen = camera ?? whole;
  const by = (factor: number) => setCamera(zoomed(seen, factor, { x: centerX(seen), y: centerY(seen) }, whole));
  return (
    <>
      <Small title="Farther" onClick={() => by(1 / STEP)} disabled={!camera}>
        <IconMinus size={18} />
      </Small>
      <Small title="Nearer" onClick={() => by(STEP)}>
        <IconPlus size={18} />
      </Small>
      <Small
        title="True size, as checked in the settings"
        onClick={() => {
          const at = room.current;
          if (at) setCamera(trueSize(seen, pixels, { width: at.clientWidth, height: at.clientHeight }));
        }}
      >
        <IconRuler2 size={18} />
      </Small>
      <Button size="small" onClick={() => setCamera(null)} disabled={!camera}>
        Whole
      </Button>
    </>
  );
}

function Small(props: { title: string; onClick: () => void; disabled?: boolean; children: React.ReactNode }) {
  return (
    <Hint title={props.title}>
      <span>
        <IconButton
          size="small"
          aria-label={props.title}
          onClick={props.onClick}
          disabled={props.disabled === true}
          sx={{ color: 'text.primary' }}
        >
          {props.children}
        </IconButton>
      </span>
    </Hint>
  );
}
