import Alert from '@mui/material/Alert';
import CircularProgress from '@mui/material/CircularProgress';
import { useEffect, useState } from 'react';
import type { Point, Quad } from '../../core/scan/homography';
import type { PhotoCorners } from '../../server/keep-actions';
import { cornersOfPhoto, straightenPhoto } from '../../server/keep-actions';
import { PointsOn } from '../PointsOn';
import { GLASS } from '../theme';
import type { Run } from '../use-run';
import { FormDialog } from '../screen/FormDialog';

const NAMES = ['top left', 'top right', 'bottom right', 'bottom left'];

/** The photo with the four corners of the open book, found where they can be, to be dragged; then it is laid flat. */
export function StraightenDialog({
  spreadId,
  photo,
  run,
  busy,
  onDone,
  onClose,
}: {
  spreadId: number;
  photo: string;
  run: Run;
  busy: boolean;
  /** with the photo as it was */
  onDone: (before: string) => void;
  onClose: () => void;
}) {
  const [found, setFound] = useState<PhotoCorners | null>(null);
  const [said, setSaid] = useState('');
  useEffect(() => {
    let gone = false;
    void cornersOfPhoto({ spreadId })
      .catch(() => null)
      .then((answer) => {
        if (gone) return;
        if (answer?.ok) setFound(answer.value);
        else setSaid(answer ? answer.messages.join(' ') : 'The server could not be reached.');
      });
    return () => {
      gone = true;
    };
  }, [spreadId]);
  const move = (i: number) => (to: Point) =>
    setFound((now) => now && { ...now, corners: now.corners.map((c, k) => (k === i ? to : c)) as unknown as Quad });
  const straighten = async () => {
    if (!found) return;
    const corners = found.corners.map(({ x, y }) => ({ x, y }));
    let before = '';
    const done = await run(async () => {
      const answer = await straightenPhoto({ spreadId, corners });
      if (answer.ok) before = answer.value.before;
      else setSaid(answer.messages.join(' '));
      return answer;
    });
    if (done) onDone(before);
  };
  return (
    <FormDialog
      plain
      title="Where is the open book?"
      size="md"
      onClose={onClose}
      messages={said ? [said] : []}
      act={{ label: busy ? 'Laying it flat…' : 'Straighten', disabled: !found || busy, run: () => void straighten() }}
    >
      {!found && !said && <CircularProgress aria-label="Looking for the book" />}
      {found && (
        <>
          {!found.sure && (
            <Alert severity="info">The book was not found in the photo. Drag the corners onto its own.</Alert>
          )}
          <PointsOn
            url={`/pictures/${photo}`}
            width={found.width}
            height={found.height}
            label="The photo with the corners of the book"
            handles={found.corners.map((at, i) => ({ name: `Corner ${NAMES[i]}`, at, onMove: move(i) }))}
          >
            <polygon
              points={found.corners.map((c) => `${c.x},${c.y}`).join(' ')}
              fill="none"
              stroke={GLASS.amber}
              strokeWidth={Math.max(found.width, found.height) / 300}
            />
          </PointsOn>
        </>
      )}
    </FormDialog>
  );
}
