'use client';

import { troublePage } from '../../ui/Trouble';

export default troublePage('The books', [{ to: '/agenda', label: 'To the agenda' }]);
