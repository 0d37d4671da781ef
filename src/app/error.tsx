'use client';

import { troublePage } from '../ui/Trouble';
import { lastOfAgenda } from '../ui/undo-agenda';

export default troublePage(
  'The shelf',
  [
    { to: '/agenda', label: 'To the agenda' },
    { to: '/settings', label: 'To the settings' },
  ],
  lastOfAgenda,
);
