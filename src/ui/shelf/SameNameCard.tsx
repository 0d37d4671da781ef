import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { AskedOf } from '../../server/take-in';
import type { SameNameWay } from '../../server/taking-in/format';
import { spokenTitles } from '../agenda/spoken-changes';

const SAYS: Readonly<Record<SameNameWay, string>> = {
  replace: 'Replace it',
  merge: 'Merge into it',
  'keep both': 'Keep both',
};

/** A file whose name is taken: what it would change, and the ways to go on. */
export function SameNameCard(props: {
  asked: AskedOf;
  busy: boolean;
  onWay: (way: SameNameWay) => void;
  onLeave: () => void;
}) {
  const { asked, busy, onWay, onLeave } = props;
  const { there, changes, ways } = asked.same;
  const lines: readonly (readonly [string, readonly string[]])[] = [
    ['New in the file', changes.added],
    ['Changed by it', changes.changed],
    ['Not in the file', changes.removed],
  ];
  return (
    <Alert severity="warning" role="group" aria-label={`${asked.file}: what shall be done`}>
      {ways.length > 1
        ? `There is a calendar “${there}” already. Nothing of ${asked.file} is kept yet.`
        : `“${there}” is a feed, which is changed only where it comes from. Nothing of ${asked.file} is kept yet.`}
      <Box component="dl" sx={{ m: 0, mt: 0.5 }}>
        {lines.map(
          ([label, titles]) =>
            titles.length > 0 && (
              <Box key={label} sx={{ display: 'flex', gap: 1 }}>
                <Box component="dt" sx={{ fontWeight: 600, flexShrink: 0 }}>
                  {label}, {titles.length}:
                </Box>
                <Box component="dd" sx={{ m: 0, overflowWrap: 'anywhere' }}>
                  {spokenTitles(titles)}
                </Box>
              </Box>
            ),
        )}
      </Box>
      {ways.includes('merge') && changes.removed.length > 0 && (
        <Box sx={{ mt: 0.5 }}>
          Replacing takes out what is not in the file; merging keeps it. Both can be undone in the agenda.
        </Box>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
        {ways.map((way) => (
          <Button key={way} size="small" variant="outlined" color="inherit" disabled={busy} onClick={() => onWay(way)}>
            {SAYS[way]}
          </Button>
        ))}
        <Button size="small" color="inherit" disabled={busy} onClick={onLeave}>
          Cancel
        </Button>
      </Box>
    </Alert>
  );
}
