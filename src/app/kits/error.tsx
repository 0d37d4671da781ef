'use client';

import { troublePage } from '../../ui/Trouble';

export default troublePage('The kits', [{ to: '/agenda', label: 'To the agenda' }]);
