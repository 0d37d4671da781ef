import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import type { Like } from '../../db/likes';
import { forgetTaste, heedLike } from '../../server/settings-actions';
import { Dots } from '../Dots';
import { GLASS } from '../theme';
import type { Run } from '../use-run';
import { useKitName } from '../kit-names';

/** What was learned from swaps and removals, each with a switch. */
export function Learned({ likes, run, busy }: { likes: readonly Like[]; run: Run; busy: boolean }) {
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
            When you swap a sticker for another or take one off, the next arranging leans your way a little. Switch off
            what is not so.
          </Typography>
        </Box>
        {likes.length > 0 && (
          <Button
            color="error"
            disabled={busy}
            onClick={() => {
              void run(forgetTaste());
            }}
          >
            Forget all of it
          </Button>
        )}
      </Box>
      {likes.length === 0 && <Typography color="text.secondary">Nothing yet.</Typography>}
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(270px, 1fr))', gap: 1 }}>
        {likes.map((l) => {
          const { kit, code } = l;
          const liked = l.weight > 0;
          return (
            <Box
              key={`${kit}/${code}`}
              sx={{ display: 'flex', alignItems: 'center', gap: 1, opacity: l.off ? 0.55 : 1 }}
              data-testid="like"
            >
              <Box sx={{ flex: 1, minWidth: 0 }}>
                <Typography variant="body2" noWrap>
                  {code}, {called(kit)}
                </Typography>
                <Typography
                  variant="caption"
                  sx={{
                    color: liked ? GLASS.bottle : GLASS.cranberry,
                    display: 'flex',
                    gap: 0.75,
                    alignItems: 'center',
                  }}
                >
                  {liked ? 'liked' : 'not liked'}{' '}
                  <Dots
                    raised={Math.abs(l.weight)}
                    size={5}
                    color={liked ? GLASS.bottle : GLASS.cranberry}
                    label={`${Math.abs(l.weight)}`}
                  />
                </Typography>
              </Box>
              <Switch
                checked={!l.off}
                disabled={busy}
                onChange={(e) => {
                  void run(heedLike({ kit, code, off: !e.target.checked }));
                }}
                slotProps={{ input: { 'aria-label': `Heed it for ${code}, ${called(kit)}` } }}
              />
            </Box>
          );
        })}
      </Box>
    </Paper>
  );
}
