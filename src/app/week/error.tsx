'use client';

import { troublePage } from '../../ui/Trouble';
import { lastOfAgenda } from '../../ui/undo-agenda';

export default troublePage(
  'The week',
  [
    { to: '/kits', label: 'To the kits' },
    { to: '/settings', label: 'To the settings' },
  ],
  lastOfAgenda,
);
