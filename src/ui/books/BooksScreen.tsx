'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { copyBook, dropBook } from '../../server/book-actions';
import type { BookLine, BooksPage } from '../../server/books';
import { Messages } from '../screen/Messages';
import { Screen } from '../screen/Screen';
import { Side, Split } from '../screen/Split';
import { GLASS } from '../theme';
import { useRun } from '../use-run';
import { BookEditor } from './BookEditor';
import { CardDialog } from './CardDialog';
import { MeasureDialog } from './MeasureDialog';

/** The books one plans in: those that ship, and one's own as measured. */
export function BooksScreen({ page }: { page: BooksPage }) {
  const router = useRouter();
  const { run, ask, busy, messages, clear } = useRun();
  const [measuring, setMeasuring] = useState(false);
  const [card, setCard] = useState(false);
  const { chosen } = page;
  const open = (id: string) => router.push(`/books?book=${encodeURIComponent(id)}`);
  const copy = async () => {
    if (!chosen) return;
    const { id, name } = chosen.line;
    const made = await ask(() => copyBook({ id, name: `${name}, mine`.slice(0, 80) }));
    if (made) open(made.value.id);
  };
  const drop = async (line: BookLine) => {
    if (await run(() => dropBook({ id: line.id }))) router.push('/books');
  };
  return (
    <Screen
      fill
      title={`Books${chosen ? ` · ${chosen.line.name}` : ''}`}
      acts={
        <>
          <Button color="inherit" onClick={() => setCard(true)}>
            Check this screen
          </Button>
          {chosen && (
            <Button
              color="inherit"
              component="a"
              href={`/books/${encodeURIComponent(chosen.line.id)}/test-print`}
              target="_blank"
            >
              Test print
            </Button>
          )}
          <Button variant="contained" color="secondary" onClick={() => setMeasuring(true)}>
            Measure a book
          </Button>
        </>
      }
    >
      <Messages across of={messages} onClose={clear} />
      <Split>
        <Side component="nav" label="Books" width={232} gap={0.5} strip>
          {page.books.map((b) => (
            <ButtonBase
              key={b.id}
              component={Link}
              href={`/books?book=${encodeURIComponent(b.id)}`}
              aria-current={b.id === chosen?.line.id}
              sx={{
                display: 'block',
                textAlign: 'left',
                borderRadius: 2,
                px: 1.5,
                py: 1,
                borderLeft: `4px solid ${b.id === chosen?.line.id ? GLASS.amber : 'transparent'}`,
                background: b.id === chosen?.line.id ? GLASS.bottleSoft : 'transparent',
              }}
            >
              <Typography sx={{ fontWeight: 600, fontSize: 14, lineHeight: 1.3, overflowWrap: 'anywhere' }}>
                {b.name}
              </Typography>
              <Typography variant="caption" color="text.secondary">
                {b.shipped ? 'ships with Hobnail' : 'measured by you'}
                {b.weeks.length ? ` · ${b.weeks.length} ${b.weeks.length === 1 ? 'week' : 'weeks'}` : ''}
              </Typography>
            </ButtonBase>
          ))}
          {chosen && (
            <Box
              sx={{
                mt: { md: 'auto' },
                pt: { md: 2 },
                display: 'flex',
                flexDirection: { xs: 'row', md: 'column' },
                gap: 0.5,
                alignItems: { xs: 'center', md: 'flex-start' },
              }}
            >
              <Button
                size="small"
                disabled={busy}
                onClick={() => {
                  void copy();
                }}
              >
                Make a copy to change
              </Button>
              <Button size="small" component="a" href={`/books/${encodeURIComponent(chosen.line.id)}/file`}>
                Export (.book.json)
              </Button>
              {!chosen.line.shipped && (
                <Button
                  size="small"
                  color="error"
                  disabled={busy || chosen.line.weeks.length > 0}
                  onClick={() => {
                    void drop(chosen.line);
                  }}
                >
                  Remove this book
                </Button>
              )}
            </Box>
          )}
        </Side>
        <Box component="main" sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column', minHeight: 0 }}>
          {chosen ? (
            <BookEditor key={chosen.line.id} chosen={chosen} />
          ) : (
            <Typography color="text.secondary" sx={{ p: 4 }}>
              No book yet. Measure yours, or import a book file on the shelf.
            </Typography>
          )}
        </Box>
      </Split>
      {measuring && (
        <MeasureDialog
          onClose={() => setMeasuring(false)}
          onMade={(id) => {
            setMeasuring(false);
            open(id);
            router.refresh();
          }}
        />
      )}
      {card && <CardDialog onClose={() => setCard(false)} />}
    </Screen>
  );
}
