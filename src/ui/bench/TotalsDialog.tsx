import Typography from '@mui/material/Typography';
import type { OwnPace } from '../../core/bench/pace';
import { secondsOf } from '../../core/bench/pace';
import { tapeLength } from '../../core/bench/strokes';
import { totalsOf } from '../../core/bench/totals';
import { reeled } from '../../core/measure/fraction';
import { counted, sentence } from '../../core/spread/voice';
import { useKitName } from '../kit-names';
import { GLASS } from '../theme';
import type { AtBench } from './use-bench';
import { FormDialog } from '../screen/FormDialog';
import { Pairs } from '../screen/Pairs';
import { laidLooks } from '../../core/spread/looks-name';

/** What the week takes, before the knife: tape, washi, stickers, cuts, and how long it will be. */
export function TotalsDialog({
  at: { context, bench, done, voice },
  pace,
  tape,
  onClose,
}: {
  at: AtBench;
  pace: OwnPace;
  /** m in the house; null: nobody counts it */
  tape: number | null;
  onClose: () => void;
}) {
  const called = useKitName();
  const t = totalsOf(context, bench);
  const open = bench.steps.filter((s) => !done.has(s.key));
  const tapeLeft = open.reduce((mm, s) => mm + (s.about.is === 'white-out' ? tapeLength(s.about.strokes) : 0), 0);
  const lines: [string, string][] = [
    [
      'Time',
      `${spoken(secondsOf(bench.steps, pace.pace))} in all${done.size ? `, ${spoken(secondsOf(open, pace.pace))} to go` : ''}`,
    ],
    [
      'Correction tape',
      `${reeled(t.tape, voice.unit)}${tape === null ? '' : `; ${reeled(tape * 1000, voice.unit)} in the house`}`,
    ],
    ...t.washi.map((w): [string, string] => [
      sentence(laidLooks(voice, w)),
      `${reeled(w.mm, voice.unit)} in ${counted(w.pieces, 'strip')}, ${called(w.kit)}`,
    ]),
    ...(t.strips.count
      ? [
          ['Strips', `${counted(t.strips.count, 'strip')} from sheets, ${reeled(t.strips.mm, voice.unit)}`] as [
            string,
            string,
          ],
        ]
      : []),
    ['Stickers', `${t.pieces} from ${counted(t.sheets, 'sheet')}; ${counted(t.stacks, 'stack')} built on the backing`],
    [
      'Under the knife',
      `${counted(t.cut, 'sticker')}, ${counted(t.parts, 'part')} of them; ${t.kept ? `${counted(t.kept, 'leftover')} worth keeping` : 'nothing worth keeping is left'}`,
    ],
    ['To write', `${counted(t.texts, 'text')}, ${counted(t.rows, 'row')} of lists`],
  ];
  lines.push(['Left after it', `${t.left.whole} of ${t.left.all} stickers of ${called(context.kit.name)} whole`]);
  const short = tape !== null && tapeLeft > tape * 1000;
  return (
    <FormDialog plain title="Before the knife" onClose={onClose}>
      <Pairs of={lines} />
      {short && (
        <Typography role="note" sx={{ color: GLASS.cranberry }}>
          Not enough tape: {reeled(tapeLeft - (tape ?? 0) * 1000, voice.unit)} short.
        </Typography>
      )}
      <Typography variant="caption" color="text.secondary" component="p">
        {pace.own.length
          ? 'The time is by your own pace, from the ticks of past steps; what you did too seldom is by a usual one.'
          : 'The time is by a usual pace. Yours takes its place once enough steps were ticked one by one.'}
      </Typography>
    </FormDialog>
  );
}

/** `1 h 20 min`, to five minutes. */
function spoken(seconds: number): string {
  const minutes = Math.max(5, Math.round(seconds / 300) * 5);
  const [h, m] = [Math.floor(minutes / 60), minutes % 60];
  return [h ? `${h} h` : '', m ? `${m} min` : ''].filter(Boolean).join(' ');
}
