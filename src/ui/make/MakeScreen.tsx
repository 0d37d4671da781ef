'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useState } from 'react';
import { traits } from '../../core/kit/kinds';
import type { Unit } from '../../core/measure/fraction';
import { layOutMade } from '../../core/make/lay-out';
import { madeKit } from '../../core/make/made-kit';
import type { MadeLine } from '../../core/make/makeable';
import { counted, sentence } from '../../core/spread/voice';
import { spokenWeek } from '../../core/week/day-names';
import { keepMade } from '../../server/make-actions';
import type { CutAnswer } from '../../server/made';
import type { Outcome } from '../../server/outcome';
import { GLASS } from '../theme';
import { Screen } from '../screen/Screen';
import { LineRow } from './LineRow';
import { MadeSheetView } from './MadeSheetView';
import { Choice } from '../fields/Choice';
import { ruled } from '../../core/measure/fraction';
import { useOwnWays } from '../own-ways';

interface MakeProps {
  readonly spread: {
    readonly id: number;
    readonly week: string;
    readonly days: readonly string[];
    readonly unit: Unit;
  };
  /** what its kit lacks and can be made */
  readonly missing: readonly MadeLine[];
  /** one line of each kind, as large as this spread wants it */
  readonly blanks: readonly MadeLine[];
  readonly cutter: boolean;
}

type Line = MadeLine & { readonly id: number };
interface Said {
  readonly good: boolean;
  readonly text: string;
}

/** What the kit lacks, drawn to fit this very spread: to be printed, cut, and put to the stash. */
export function MakeScreen({ spread, missing, blanks, cutter }: MakeProps) {
  const { unit } = useOwnWays();
  const [lines, setLines] = useState<readonly Line[]>(() => missing.map((line, id) => ({ ...line, id })));
  const [size, setSize] = useState<'A4' | 'Letter'>(spread.unit === 'in' ? 'Letter' : 'A4');
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState<Said | null>(null);
  const [kept, setKept] = useState(false);
  const name = `made for ${spread.week.toLowerCase()}`;
  const plain = lines.map(({ id: _, ...line }) => line);
  const { sheets, tooWide } = layOutMade(madeKit(name, plain), size);
  const ready = lines.length > 0 && tooWide.length === 0;
  const add = (line: MadeLine) => {
    setLines([...lines, { ...line, id: Math.max(-1, ...lines.map((l) => l.id)) + 1 }]);
    setKept(false);
  };
  const post = (what: string, sheet = 0) =>
    fetch(`/made/${what}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name, lines: plain, size, sheet }),
    });
  const during = async (work: () => Promise<Said | null>) => {
    setBusy(true);
    setSaid(
      await work().catch((): Said => ({ good: false, text: 'The server could not be reached; nothing was made.' })),
    );
    setBusy(false);
  };
  const save = (what: 'print' | 'cut', file: string, sheet = 0) =>
    during(async () => {
      const answer = await post(what, sheet);
      if (!answer.ok) return { good: false, text: 'It could not be made: check its sizes and colors.' };
      const address = URL.createObjectURL(await answer.blob());
      const link = Object.assign(document.createElement('a'), { href: address, download: file });
      link.click();
      setTimeout(() => URL.revokeObjectURL(address), 10_000);
      return { good: true, text: `${file} is saved. Print it at 100 %, and see that its bar is 100 mm long.` };
    });
  const send = (sheet: number) =>
    during(async () => {
      const answer = (await (await post('send', sheet)).json()) as Outcome<CutAnswer>;
      return answer.ok ? sayCut(answer.value) : { good: false, text: answer.messages.join(' ') };
    });
  const keep = () =>
    during(async () => {
      const answer = await keepMade({ name, lines: plain, size, spreadId: spread.id });
      if (answer.ok) setKept(true);
      return answer.ok
        ? {
            good: true,
            text: 'They are in the stash now, and lie ready beside this week. The Kits screen can undo it.',
          }
        : { good: false, text: answer.messages.join(' ') };
    });
  return (
    <Screen
      title={<>Make pieces · {spokenWeek(spread.days)}</>}
      acts={
        <Button color="inherit" component={Link} href={`/spreads/${spread.id}`}>
          Back to the spread
        </Button>
      }
    >
      {said && (
        <Alert severity={said.good ? 'success' : 'error'} onClose={() => setSaid(null)} sx={{ borderRadius: 0 }}>
          {said.text}
        </Alert>
      )}
      <Box
        component="main"
        sx={{
          flex: 1,
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', lg: 'minmax(0, 1.25fr) minmax(0, 1fr)' },
          alignContent: { xs: 'start', lg: 'stretch' },
          gap: 3,
          p: { xs: 2, md: 3 },
        }}
      >
        <Box>
          <Typography variant="h2">What is made</Typography>
          <Typography color="text.secondary" sx={{ mb: 1.5 }}>
            {missing.length
              ? 'What this week lacks, in the colors and the pattern of its kit, as large as its columns. Change it as you like.'
              : 'The kit has what this week wants. Add what you like to have more of.'}
          </Typography>
          {lines.map((line) => (
            <LineRow
              key={line.id}
              line={line}
              onChange={(change) => {
                setLines(lines.map((l) => (l.id === line.id ? { ...l, ...change } : l)));
                setKept(false);
              }}
              onRemove={() => setLines(lines.filter((l) => l.id !== line.id))}
            />
          ))}
          <Choice
            label="Add"
            value={null}
            options={blanks.map((b) => [b.kind, sentence(traits(b.kind).label)] as const)}
            onChange={(chosen) => {
              const line = blanks.find((b) => b.kind === chosen);
              if (line) add(line);
            }}
            sx={{ width: 220, mt: 1 }}
          />
        </Box>
        <Box>
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center', mb: 1.5 }}>
            <Choice
              label="Paper"
              value={size}
              options={[
                ['A4', 'A4'],
                ['Letter', 'Letter'],
              ]}
              onChange={setSize}
              sx={{ width: 110 }}
            />
            <Button
              variant="contained"
              color="secondary"
              disabled={!ready || busy}
              onClick={() => void save('print', `${name}.pdf`)}
            >
              Save the print page
            </Button>
            <Button variant="outlined" disabled={!ready || busy || kept} onClick={() => void keep()}>
              {kept ? 'In the stash' : 'Printed: add them to the stash'}
            </Button>
          </Box>
          {tooWide.map((p) => (
            <Typography key={p.code} role="note" sx={{ color: GLASS.cranberry }}>
              {sentence(traits(p.kind).label)} {p.code} is larger than the paper: {ruled(p.width, unit)} ×{' '}
              {ruled(p.height, unit)}.
            </Typography>
          ))}
          {sheets.map((sheet, i) => (
            <Box key={i} sx={{ mb: 2 }}>
              <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
                <Typography variant="h3" component="h2" sx={{ flex: 1 }}>
                  Sheet {i + 1} of {sheets.length}: {counted(sheet.items.length, 'sticker')}
                </Typography>
                <Button size="small" disabled={busy} onClick={() => void save('cut', `${name}-${i + 1}.cut.svg`, i)}>
                  Save the cut file
                </Button>
                {cutter && (
                  <Button size="small" disabled={busy} onClick={() => void send(i)}>
                    {busy ? 'Cutting…' : 'Cut it'}
                  </Button>
                )}
              </Box>
              <MadeSheetView sheet={sheet} />
            </Box>
          ))}
          {!lines.length && <Typography color="text.secondary">Nothing to make yet.</Typography>}
        </Box>
      </Box>
    </Screen>
  );
}

const FAULTS = new Map([
  ['off the bed', 'something lies where the rollers hold the sheet'],
  ['open path', 'an outline is not closed'],
  ['cut twice', 'two cuts lie on each other'],
  ['overlap', 'two stickers lie on each other'],
  ['too small', 'a sticker is too small to stay on its backing'],
  ['too fine for the blade', 'a corner is too fine for the blade'],
  ['unknown layer', 'a layer is unknown to it'],
  ['nothing to cut', 'there is nothing to cut'],
]);

function sayCut({ done, said, faults, length, minutes }: CutAnswer): Said {
  if (done)
    return {
      good: true,
      text: `It is cut: ${(length / 1000).toFixed(1)} m in about ${Math.max(1, Math.round(minutes))} min.`,
    };
  const why = [...new Set(faults.map((f) => FAULTS.get(f.what) ?? f.what))];
  return { good: false, text: `The cutter refused: ${[said, ...why].join('; ')}. Nothing was cut.` };
}
