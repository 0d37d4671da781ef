'use client';

import { troublePage } from '../../ui/Trouble';

export default troublePage('The settings', [{ to: '/agenda', label: 'To the agenda' }]);
