import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import Typography from '@mui/material/Typography';
import { longDay, shortDay } from '../../core/week/day-names';
import type { ThisWeek } from '../../server/this-week';
import { Part } from './Part';
import { TextLine } from './TextLine';
import type { Records } from './use-records';

/** The dinner of a day, with what was not had for long; and the week's others. */
export function Dinner({ data, day, records }: { data: ThisWeek; day: string; records: Records }) {
  const put = (text: string) => void records.put({ day, what: 'dinner', name: '', amount: 0, text });
  const now = records.of(day, 'dinner')?.text ?? '';
  const others = data.week.days.flatMap((iso) => {
    const text = iso === day ? '' : (records.of(iso, 'dinner')?.text ?? '');
    return text ? [`${shortDay(iso)} ${text}`] : [];
  });
  return (
    <Part name={day === data.today ? 'Dinner' : `Dinner, ${longDay(day)}`}>
      <TextLine
        label="Dinner"
        bare
        placeholder="what is there to eat?"
        value={now}
        suggestions={data.dinners.map((d) => d.name)}
        most={200}
        onKeep={put}
      />
      {!now && data.missed.length > 0 && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, mt: 1, alignItems: 'center' }}>
          <Typography variant="caption" color="text.secondary">
            not for long:
          </Typography>
          {data.missed.map((d) => (
            <Chip key={d.name} size="small" label={`${d.name}, ${d.since} days`} onClick={() => put(d.name)} />
          ))}
        </Box>
      )}
      {others.length > 0 && (
        <Typography variant="caption" component="p" color="text.secondary" sx={{ mt: 1 }}>
          {others.join(' · ')}
        </Typography>
      )}
    </Part>
  );
}
