'use client';

import Alert from '@mui/material/Alert';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { imageOf } from '../../core/format/image-of';
import type { Hand } from '../../core/measure/hand';
import { writeLines } from '../../core/measure/hand';
import { SAMPLE_LINE, SAMPLE_LINES, handFromSample, sampleOf } from '../../core/measure/sample-line';
import { spokenTime } from '../../core/week/demand';
import { roomWanted } from '../../core/week/room-wanted';
import type { Settings } from '../../server/load-settings';
import { Choice } from '../fields/Choice';
import { saveClock, saveCurrency, saveHand, saveUnit, saveWeekStart, saveZone } from '../../server/settings-actions';
import { useRun } from '../use-run';
import { useTrueSize } from '../use-true-size';
import type { BackupFile } from '../../server/backup/backup-files';
import { Backups } from './Backups';
import { Door } from './Door';
import { Learned } from './Learned';
import { ShortForms } from './ShortForms';
import { Typing } from './Typing';
import { Words } from './Words';
import { LengthField } from '../fields/LengthField';
import { fine, ruled } from '../../core/measure/fraction';
import { MoneySign } from './MoneySign';
import { Messages } from '../screen/Messages';
import { Screen, ScreenMain } from '../screen/Screen';
import { GLASS } from '../theme';

const EXAMPLES = [
  [null, 'swim'],
  [16 * 60 + 30, 'vet, both hounds'],
  [13 * 60 + 30, 'allotment open day with the choir'],
] as const;

/** The owner's hand and clock. */
export function SettingsScreen({
  settings,
  backups,
  old,
}: {
  settings: Settings;
  backups: readonly BackupFile[];
  old: boolean;
}) {
  const { run, busy, messages, question } = useRun();
  const [px] = useTrueSize();
  const given = sampleOf(settings.hand);
  const [length, setLength] = useState(given.length);
  const [rise, setRise] = useState(given.rise);
  const [zone, setZone] = useState(settings.zone);
  const [said, setSaid] = useState('');
  const hand = handFromSample(length, rise);
  const { clock, unit, currency } = settings.ways;
  const keepHand = async (mine: Hand) => {
    const kept = await run(
      () => saveHand({ hand: mine, seen: imageOf(settings.hand) }),
      () => saveHand({ hand: mine }),
    );
    setSaid(kept ? 'Your hand is kept. Every week is measured with it from now on.' : '');
  };
  const keepZone = async () => {
    const kept = await run(
      () => saveZone({ zone, seen: imageOf(settings.zone) }),
      () => saveZone({ zone }),
    );
    setSaid(kept ? `Your clock is now ${zone}’s.` : '');
  };
  const keepWay = async (act: () => ReturnType<typeof saveClock>, kept: string) =>
    setSaid((await run(act)) ? kept : '');
  const keepStart = async (start: 'monday' | 'sunday') => {
    const kept = await run(() => saveWeekStart({ start }));
    setSaid(kept ? `Your week now starts on ${start === 'monday' ? 'Monday' : 'Sunday'}.` : '');
  };
  return (
    <Screen title="Settings">
      <ScreenMain width={1000} gap={2}>
        {question}
        <Messages of={messages} />
        {said && (
          <Alert severity="success" onClose={() => setSaid('')}>
            {said}
          </Alert>
        )}
        <Paper
          component="section"
          aria-label="Your hand"
          sx={{ p: 3, display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, gap: 4 }}
        >
          <Box sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
            <Box>
              <Typography variant="h2">Your hand</Typography>
              <Typography color="text.secondary" sx={{ mt: 0.5 }}>
                {settings.measured
                  ? 'Measured. Do it again when you change pens.'
                  : 'Until you measure it, a usual hand with a fine pen is taken.'}
              </Typography>
            </Box>
            <Typography>
              Write this line on paper, {SAMPLE_LINES} times, each under the other, with the pen and in the size you use
              in your planner:
            </Typography>
            <Typography
              sx={{
                fontFamily: 'Caveat, cursive',
                fontSize: 24,
                background: GLASS.milk,
                borderRadius: 2,
                px: 2,
                py: 1,
              }}
            >
              {SAMPLE_LINE}
            </Typography>
            <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2 }}>
              <LengthField
                label="Length of one line"
                value={length}
                unit={unit}
                onChange={setLength}
                helperText="from its first letter to its last"
              />
              <LengthField
                label="From the first line to the last"
                value={rise}
                unit={unit}
                onChange={setRise}
                helperText="from under the letters to under the letters"
              />
            </Box>
            <Typography data-testid="hand" aria-live="polite" sx={{ color: hand ? GLASS.bottle : GLASS.cranberry }}>
              {hand
                ? `${hand.lettersPerLine} letters to a line of ${ruled(hand.lineWidth, unit)}, ${fine(hand.linePitch, unit)} from line to line.`
                : 'Nobody writes in that size. Please measure again.'}
            </Typography>
            <Button
              variant="contained"
              color="secondary"
              disabled={!hand}
              sx={{ alignSelf: 'flex-start' }}
              onClick={() => hand && void keepHand(hand)}
            >
              Keep this hand
            </Button>
          </Box>
          <Box>
            <Typography variant="h3">What it takes in a column of {ruled(settings.hand.lineWidth, unit)}</Typography>
            {hand &&
              EXAMPLES.map(([start, title]) => {
                const text = start === null ? title : `${spokenTime(start, clock)} ${title}`;
                const { room, lines, mm } = roomWanted(text, hand.lineWidth, hand);
                return (
                  <Box key={text} sx={{ mt: 2 }}>
                    <Box
                      sx={{
                        width: hand.lineWidth * px,
                        height: mm * px,
                        background: GLASS.bottleSoft,
                        borderRadius: 1,
                        pl: 0.5,
                        overflow: 'hidden',
                        fontFamily: 'Caveat, cursive',
                        fontSize: Math.min(hand.linePitch * 1.02, 6) * px,
                        lineHeight: `${hand.linePitch * px}px`,
                      }}
                    >
                      {writeLines(text, hand.lineWidth - 2, hand).map((line) => (
                        <Box key={line} sx={{ whiteSpace: 'nowrap' }}>
                          {line}
                        </Box>
                      ))}
                    </Box>
                    <Typography variant="caption" color="text.secondary">
                      {lines} {lines === 1 ? 'line' : 'lines'}: a {room} of {fine(mm, unit)}
                    </Typography>
                  </Box>
                );
              })}
          </Box>
        </Paper>
        <Paper
          component="section"
          aria-label="Your week and measures"
          sx={{ p: 3, display: 'flex', flexDirection: 'column', gap: 2 }}
        >
          <Box>
            <Typography variant="h2">Your week and measures</Typography>
            <Typography color="text.secondary" sx={{ mt: 0.5 }}>
              How days, hours, lengths and money are written, on every screen and on the stickers. Times from other
              zones are moved to yours.
            </Typography>
          </Box>
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
            <Autocomplete
              options={[...settings.zones]}
              value={zone}
              disableClearable
              onChange={(_, z) => setZone(z)}
              sx={{ width: 320 }}
              renderInput={(params) => <TextField {...params} label="Time zone" />}
            />
            <Button variant="outlined" disabled={zone === settings.zone} onClick={() => void keepZone()}>
              Keep this zone
            </Button>
          </Box>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-start' }}>
            <Choice
              label="My week starts on"
              size="medium"
              value={settings.weekStart}
              options={[
                ['monday', 'Monday'],
                ['sunday', 'Sunday'],
              ]}
              onChange={(start) => void keepStart(start)}
              helperText="A book may begin otherwise; its own weeks go by its pages."
              sx={{ width: 230 }}
            />
            <Choice
              label="Hours"
              size="medium"
              value={clock}
              options={[
                ['12 h', '12 hours (4:30p)'],
                ['24 h', '24 hours (16:30)'],
              ]}
              onChange={(to) => void keepWay(() => saveClock({ clock: to }), 'Hours are written so from now on.')}
              helperText="A week that is laid out keeps what is written on it."
              sx={{ width: 230 }}
            />
            <Choice
              label="Lengths"
              size="medium"
              value={unit}
              options={[
                ['in', 'inches (1 1/2 in)'],
                ['mm', 'millimeters (38.1 mm)'],
              ]}
              onChange={(to) => void keepWay(() => saveUnit({ unit: to }), 'Lengths are told so from now on.')}
              helperText="You can always type either."
              sx={{ width: 230 }}
            />
            <MoneySign
              currency={currency}
              onKeep={(to) => void keepWay(() => saveCurrency({ currency: to }), 'Kept.')}
            />
          </Box>
        </Paper>
        <Typing typing={settings.typing} run={run} busy={busy} />
        <Words taught={settings.taught} meanings={settings.meanings} run={run} busy={busy} />
        <ShortForms forms={settings.shortForms} run={run} busy={busy} />
        <Backups backups={backups} old={old} zone={settings.zone} />
        <Door door={settings.door} run={run} busy={busy} />
        <Learned likes={settings.likes} choices={settings.likedChoices} run={run} busy={busy} />
      </ScreenMain>
    </Screen>
  );
}
