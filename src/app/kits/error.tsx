'use client';

import { troublePage } from '../../ui/Trouble';
import { lastOfAgenda } from '../../ui/undo-agenda';

export default troublePage('The kits', [{ to: '/agenda', label: 'To the agenda' }], lastOfAgenda);
