import Box from '@mui/material/Box';
import { GLASS } from './theme';

/** A week's spread as a small picture in its frame: its photo where there is one. */
export function SpreadPicture({
  spread: { id, revision, photo },
  title,
  height = 168,
}: {
  spread: { readonly id: number; readonly revision: number; readonly photo: string };
  title: string;
  height?: number;
}) {
  return (
    <Box
      sx={{
        height,
        borderRadius: 1.5,
        border: `1px solid ${GLASS.edge}`,
        background: '#EFEBE1',
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'center',
        overflow: 'hidden',
      }}
    >
      <img
        src={`/spreads/${id}/small?v=${photo ? photo.slice(0, 16) : revision}`}
        decoding="async"
        alt={photo ? `A photo of ${title}` : `The spread of ${title}`}
        loading="lazy"
        style={{ maxWidth: '96%', maxHeight: '95%', boxShadow: '0 1px 4px #0002' }}
      />
    </Box>
  );
}
