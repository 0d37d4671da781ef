import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { longDay } from '../../core/week/day-names';
import type { ThisWeek } from '../../server/this-week';
import { GLASS } from '../theme';
import { Part } from './Part';
import type { Records } from './use-records';

/** The habits of a week: a raised dot for each day on which one was kept. One tap each. */
export function Habits({ data, records, onChange }: { data: ThisWeek; records: Records; onChange: () => void }) {
  const { habits } = data.habits;
  return (
    <Part
      name="Habits"
      side={
        <Button size="small" onClick={onChange}>
          Change
        </Button>
      }
    >
      {habits.length === 0 && (
        <Typography variant="body2" color="text.secondary">
          Name the habits that you keep, and tick them here with one tap.
        </Typography>
      )}
      {habits.length > 0 && (
        <Box component="table" sx={{ width: '100%', borderCollapse: 'collapse', '& th, & td': { p: 0 } }}>
          <thead>
            <tr>
              <td />
              {data.week.days.map((iso) => (
                <Box
                  component="th"
                  key={iso}
                  scope="col"
                  sx={{ fontSize: 12, fontWeight: iso === data.today ? 700 : 400, color: GLASS.quiet, width: 32 }}
                >
                  <abbr title={longDay(iso)} style={{ textDecoration: 'none' }}>
                    {longDay(iso).charAt(0)}
                  </abbr>
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {habits.map((name) => (
              <tr key={name}>
                <Box component="th" scope="row" sx={{ textAlign: 'left', fontWeight: 400, fontSize: 14, pr: 1 }}>
                  {name}
                </Box>
                {data.week.days.map((iso) => {
                  const kept = (records.of(iso, 'habit', name)?.amount ?? 0) > 0;
                  return (
                    <td key={iso} style={{ textAlign: 'center' }}>
                      <Dot
                        kept={kept}
                        label={`${name}, ${longDay(iso)}`}
                        disabled={iso > data.today}
                        onTap={() =>
                          void records.put({ day: iso, what: 'habit', name, amount: kept ? 0 : 1, text: '' })
                        }
                      />
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </Box>
      )}
    </Part>
  );
}

function Dot(props: { kept: boolean; label: string; disabled: boolean; onTap: () => void }) {
  return (
    <Box
      component="button"
      type="button"
      role="checkbox"
      aria-checked={props.kept}
      aria-label={props.label}
      disabled={props.disabled}
      onClick={props.onTap}
      sx={{
        width: 30,
        height: 30,
        border: 0,
        background: 'none',
        cursor: props.disabled ? 'default' : 'pointer',
        display: 'inline-flex',
        alignItems: 'center',
        justifyContent: 'center',
        opacity: props.disabled ? 0.4 : 1,
      }}
    >
      <Box
        component="span"
        sx={{
          width: 17,
          height: 17,
          borderRadius: '50%',
          ...(props.kept
            ? {
                background: `radial-gradient(circle at 35% 30%, #ffffffb0 0 12%, ${GLASS.bottle} 48%)`,
                boxShadow: '0 .5px 1px #0003',
              }
            : { boxShadow: `inset 0 0 0 1.5px ${GLASS.quiet}66`, background: GLASS.milk }),
        }}
      />
    </Box>
  );
}
