import { option, yesOrNo } from './option';

/** Printed date headers are covered. */
export const dateCovers = option<boolean>()('dateCovers', yesOrNo(), true, { group: 'Base', label: 'Date covers' });
