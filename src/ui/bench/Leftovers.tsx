import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { tableKits } from '../../core/kit/is-of';
import type { Piece } from '../../core/kit/kit';
import { saidWhere } from '../../core/kit/planned';
import { copyKey, wholeOf } from '../../core/kit/ledger';
import { offcutsOf, worthKeeping } from '../../core/kit/offcut';
import { sheetsOf } from '../../core/kit/sheet-layout';
import type { Context, Placement } from '../../core/spread/placement';
import { changeStock, undoKits } from '../../server/kit-actions';
import type { CopyLook } from '../sticker/SheetView';
import { SheetView } from '../sticker/SheetView';
import { useKitName } from '../kit-names';
import { GLASS } from '../theme';
import { useRun } from '../use-run';

/** The sheets as they must lie there now, also of the stash, where it gave something; a tap puts the stock right. */
export function Leftovers({ context, placements }: { context: Context; placements: readonly Placement[] }) {
  const { run, ask, busy, messages } = useRun();
  const called = useKitName();
  /** what was put right here, by its steps */
  const [steps, setSteps] = useState<readonly number[]>([]);
  const kits = tableKits(context).filter((k) => k === context.kit || placements.some((p) => p.kit === k.name));
  // what another week has planned lies on its sheet still
  const taken = [...placements, ...context.usedElsewhere.filter((u) => !u.plannedFor)];
  const planned = new Map(context.usedElsewhere.map((u) => [copyKey(u), u.plannedFor]));
  const byCopy = new Map<string, (typeof taken)[number][]>();
  for (const t of taken) byCopy.set(copyKey(t), [...(byCopy.get(copyKey(t)) ?? []), t]);
  const lookOf = (piece: Piece, copy: number): CopyLook => {
    const uses = byCopy.get(copyKey({ kit: piece.kit, code: piece.code, copy })) ?? [];
    const week = planned.get(copyKey({ kit: piece.kit, code: piece.code, copy }));
    const rest = uses.length
      ? offcutsOf(
          piece,
          uses.map((u) => u.cut ?? wholeOf(piece)),
        ).filter(worthKeeping)
      : [];
    return {
      free: uses.length === 0,
      rest,
      chosen: false,
      note: week ? `, planned for ${saidWhere(week)}` : '',
      state: uses.length === 0 ? 'still there' : rest.length ? 'partly there' : 'gone',
      focusable: true,
      testId: 'left-over',
    };
  };
  const undo = async () => {
    if (await run(() => undoKits({ way: 'undo', step: steps.at(-1) ?? null })))
      setSteps((before) => before.slice(0, -1));
  };
  /** a whole one is not there after all, or one more is there than was thought */
  const tap = async (piece: Piece): Promise<void> => {
    const there = Array.from({ length: piece.count }, (_, i) => i + 1).filter((copy) => lookOf(piece, copy).free);
    // what no week has planned is missed first
    const free = there.find((copy) => !planned.get(copyKey({ ...piece, copy }))) ?? there[0];
    const what = free === undefined ? 'found' : 'used';
    const reason = free === undefined ? 'was there after all' : 'was not there any more';
    const change = { what, kit: piece.kit, code: piece.code, copy: free ?? null, reason };
    const done = await ask(() => changeStock(change));
    if (done) setSteps((before) => [...before, done.value.step]);
  };
  return (
    <>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        So the sheets must lie there now. Tap a sticker that is not there any more, or a gap where one still is.
      </Typography>
      {messages.map((m) => (
        <Typography key={m} role="alert" sx={{ color: GLASS.cranberry }}>
          {m}
        </Typography>
      ))}
      {steps.length > 0 && (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <Typography variant="body2">Put right: {steps.length}.</Typography>
          <Button size="small" disabled={busy} onClick={() => void undo()}>
            Undo
          </Button>
        </Box>
      )}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))',
          gap: 1.5,
          maxHeight: 420,
          overflowY: 'auto',
          pointerEvents: busy ? 'none' : 'auto',
        }}
      >
        {kits.flatMap((kit) =>
          sheetsOf(kit).map((sheet) => (
            <Box key={`${kit.name} ${sheet.number}`}>
              {kits.length > 1 && (
                <Typography variant="caption" color="text.secondary" component="p">
                  {called(kit.name)}
                </Typography>
              )}
              <SheetView
                sheet={sheet}
                width="100%"
                lookOf={lookOf}
                onChoose={(piece) => void tap(piece)}
                caption={null}
              />
            </Box>
          )),
        )}
      </Box>
    </>
  );
}
