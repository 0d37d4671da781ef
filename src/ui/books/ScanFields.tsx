import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';

/** A scan under a page, and how strongly it shows. */
export interface PageScan {
  readonly url: string;
  readonly opacity: number;
}

/**
 * The scans of a book's pages: laid under a page, or taken away.
 * @param known the pages that have one
 * @param say why one was not kept, or not taken away
 */
export function useScans(id: string, page: number, known: readonly number[], say: (why: string) => void) {
  const [scans, setScans] = useState<readonly number[]>(known);
  const [stamp, setStamp] = useState(0);
  const [opacity, setOpacity] = useState(0.7);
  const url = `/books/${encodeURIComponent(id)}/scans/${page}`;
  const sent = async (init: RequestInit, lost: string): Promise<boolean> => {
    const answer = await fetch(url, init).catch(() => null);
    if (!answer?.ok) say(answer ? await answer.text() : `The server could not be reached; ${lost}.`);
    return answer?.ok ?? false;
  };
  return {
    scan: scans.includes(page) ? { url: `${url}?v=${stamp}`, opacity } : null,
    setOpacity,
    take: async (picked: File | undefined) => {
      if (!picked) return;
      const init = { method: 'PUT', headers: { 'content-type': picked.type }, body: picked };
      if (!(await sent(init, 'the scan was not kept'))) return;
      setScans([...new Set([...scans, page])]);
      setStamp(stamp + 1);
    },
    drop: async () => {
      if (await sent({ method: 'DELETE' }, 'the scan is still there')) setScans(scans.filter((p) => p !== page));
    },
  };
}

/** Lays a scan under a page, to draw over. */
export function ScanFields({ scan, setOpacity, take, drop }: ReturnType<typeof useScans>) {
  const file = useRef<HTMLInputElement>(null);
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
      <Typography variant="h3" component="h2" sx={{ fontSize: 16 }}>
        Scan of this page
      </Typography>
      <input
        ref={file}
        type="file"
        accept="image/png,image/jpeg,image/webp"
        hidden
        data-testid="scan-file"
        onChange={(e) => {
          void take(e.target.files?.[0]);
          e.target.value = '';
        }}
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button variant="outlined" size="small" onClick={() => file.current?.click()}>
          {scan ? 'Another scan' : 'Lay a scan under it'}
        </Button>
        {scan && (
          <Button
            size="small"
            onClick={() => {
              void drop();
            }}
          >
            Remove it
          </Button>
        )}
      </Box>
      {scan ? (
        <Slider
          size="small"
          value={scan.opacity}
          min={0.1}
          max={1}
          step={0.05}
          onChange={(_, v) => setOpacity(v)}
          aria-label="How strongly the scan shows"
        />
      ) : (
        <Typography variant="caption" color="text.secondary">
          A picture cropped to the page’s edges; it is laid edge to edge.
        </Typography>
      )}
    </Box>
  );
}
