import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { IconX } from '../icons';
import { useStore } from 'zustand';
import { counted } from '../../core/spread/voice';
import { GLASS } from '../theme';
import type { ScanSheet, createScan } from './store';

export type Scan = ReturnType<typeof createScan>;

/** The sheets of the kit, each with what is still to be looked at. */
export function SheetList({ scan }: { scan: Scan }) {
  const { sheets, current, show, drop } = useStore(scan);
  return (
    <Box
      component="ol"
      aria-label="Sheets"
      sx={{ listStyle: 'none', m: 0, p: 0, display: 'flex', flexDirection: 'column', gap: 1 }}
    >
      {sheets.map((sheet, i) => (
        <Box component="li" key={sheet.id} sx={{ position: 'relative' }}>
          <ButtonBase
            onClick={() => show(sheet.id)}
            aria-current={sheet.id === current}
            sx={{
              width: '100%',
              p: 1,
              display: 'block',
              textAlign: 'left',
              borderRadius: 1,
              border: `1.5px solid ${sheet.id === current ? GLASS.bottle : GLASS.edge}`,
              background: GLASS.paper,
            }}
          >
            {sheet.picture && (
              <img
                src={sheet.picture}
                alt=""
                style={{ display: 'block', width: '100%', maxHeight: 90, objectFit: 'contain' }}
              />
            )}
            <Typography variant="body2" sx={{ fontWeight: 600 }}>
              Sheet {i + 1}
            </Typography>
            <Typography
              variant="caption"
              color="text.secondary"
              sx={{ display: 'block', overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}
            >
              {stateOf(sheet)}
            </Typography>
          </ButtonBase>
          <IconButton
            size="small"
            aria-label={`Remove sheet ${i + 1}`}
            onClick={() => drop(sheet.id)}
            sx={{ position: 'absolute', top: 2, right: 2 }}
          >
            <IconX size={14} />
          </IconButton>
        </Box>
      ))}
    </Box>
  );
}

function stateOf({ state, stickers }: ScanSheet): string {
  if (state === 'read') {
    const doubtful = stickers.filter((s) => s.doubts.length).length;
    return `${counted(stickers.length, 'sticker')}${doubtful ? `, ${doubtful} to look at` : ''}`;
  }
  return {
    waiting: 'waiting',
    opening: 'opening…',
    asking: 'how large is it?',
    reading: 'reading…',
    failed: 'not read',
  }[state];
}
