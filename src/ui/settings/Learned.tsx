import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { spokenName } from '../../core/kit/kit';
import { choiceNamed, sayChoiceInFull } from '../../core/manner/choices';
import type { LearnedChoice } from '../../db/liked-choices';
import type { Like } from '../../db/likes';
import { forgetTaste, heedChoice, heedLike } from '../../server/settings-actions';
import { Dots } from '../Dots';
import { GLASS } from '../theme';
import type { Run } from '../use-run';
import { useKitName } from '../kit-names';

/** What was learned from swaps and removals, and from what was said at the end of weeks; each with a switch. */
export function Learned({
  likes,
  choices,
  run,
  busy,
}: {
  likes: readonly Like[];
  choices: readonly LearnedChoice[];
  run: Run;
  busy: boolean;
}) {
  const called = useKitName();
  return (
    <Paper
      component="section"
      aria-label="What Hobnail has learned"
      sx={{ p: 3, display: 'flex', flexDirection: 'column', gap: 2 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'flex-start', gap: 2 }}>
        <Box sx={{ flex: 1 }}>
          <Typography variant="h2">What Hobnail has learned</Typography>
          <Typography color="text.secondary" sx={{ mt: 0.5 }}>
            When you swap a sticker for another, or say at the end what you loved and what bothered you, the next weeks
            lean your way a little. Switch off what is not so.
          </Typography>
        </Box>
        {likes.length + choices.length > 0 && (
          <Button
            color="error"
            disabled={busy}
            onClick={() => {
              void run(() => forgetTaste());
            }}
          >
            Forget all of it
          </Button>
        )}
      </Box>
      {likes.length + choices.length === 0 && <Typography color="text.secondary">Nothing yet.</Typography>}
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(270px, 1fr))', gap: 1 }}>
        {likes.map(({ kit, code, weight, off }) => (
          <Lesson
            key={`${kit}/${code}`}
            name={`${code}, ${called(kit)}`}
            weight={weight}
            off={off}
            busy={busy}
            heed={(on) => void run(() => heedLike({ kit, code, off: !on }))}
          />
        ))}
        {choices.map(({ manner, choice, weight, off }) => {
          const made = choiceNamed(choice);
          return (
            made && (
              <Lesson
                key={`${manner} ${choice}`}
                name={`${sayChoiceInFull(made)}, ${spokenName(manner)}`}
                weight={weight}
                off={off}
                busy={busy}
                heed={(on) => void run(() => heedChoice({ manner, choice, off: !on }))}
              />
            )
          );
        })}
      </Box>
    </Paper>
  );
}

interface LessonProps {
  readonly name: string;
  readonly weight: number;
  readonly off: boolean;
  readonly busy: boolean;
  readonly heed: (on: boolean) => void;
}

function Lesson({ name, weight, off, busy, heed }: LessonProps) {
  const color = weight > 0 ? GLASS.bottle : GLASS.cranberry;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, opacity: off ? 0.55 : 1 }} data-testid="like">
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Typography variant="body2" noWrap title={name}>
          {name}
        </Typography>
        <Typography variant="caption" sx={{ color, display: 'flex', gap: 0.75, alignItems: 'center' }}>
          {weight > 0 ? 'liked' : 'not liked'}{' '}
          <Dots raised={Math.abs(weight)} size={5} color={color} label={`${Math.abs(weight)}`} />
        </Typography>
      </Box>
      <Switch
        checked={!off}
        disabled={busy}
        onChange={(e) => heed(e.target.checked)}
        slotProps={{ input: { 'aria-label': `Heed it for ${name}` } }}
      />
    </Box>
  );
}
