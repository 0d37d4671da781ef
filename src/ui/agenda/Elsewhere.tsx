'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import type { Found } from '../../server/find-items';
import { findItems } from '../../server/find-items';
import { GLASS } from '../theme';

const PAUSE = 250;

/** Where the searched words are found in other weeks. */
export function Elsewhere({ words, week }: { words: string; week: string }) {
  const [found, setFound] = useState<readonly Found[] | null>(null);
  useEffect(() => {
    let current = true;
    const timer = setTimeout(
      () =>
        void findItems({ words }).then(
          (r) => {
            if (current) setFound(r.ok ? r.value : []);
          },
          () => {
            if (current) setFound([]);
          },
        ),
      PAUSE,
    );
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [words]);
  const others = found?.filter((f) => f.week !== week) ?? [];
  return (
    <Box component="section" aria-label="In other weeks" sx={{ pb: 2 }}>
      <Typography variant="caption" color="text.secondary">
        {found === null
          ? 'Looking in other weeks…'
          : others.length
            ? 'In other weeks'
            : 'Not in the past half year or the coming year.'}
      </Typography>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(250px, 1fr))', gap: 0.5, columnGap: 1.5 }}
      >
        {others.map((f) => (
          <Link
            key={`${f.title} ${f.day} ${f.calendar}`}
            href={`/agenda?week=${f.week}`}
            style={{
              color: GLASS.bottle,
              fontSize: 13,
              overflow: 'hidden',
              textOverflow: 'ellipsis',
              whiteSpace: 'nowrap',
            }}
          >
            {f.day} · {f.title}
          </Link>
        ))}
      </Box>
    </Box>
  );
}
