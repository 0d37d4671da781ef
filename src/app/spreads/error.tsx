'use client';

import { troublePage } from '../../ui/Trouble';

export default troublePage('This spread', [
  { to: '/agenda', label: 'Change its items in the agenda' },
  { to: '/kits', label: 'To the kits' },
]);
