'use client';

import { troublePage } from '../../ui/Trouble';
import { lastOfAgenda } from '../../ui/undo-agenda';

export default troublePage(
  'This spread',
  [
    { to: '/agenda', label: 'Change its items in the agenda' },
    { to: '/kits', label: 'To the kits' },
  ],
  lastOfAgenda,
);
