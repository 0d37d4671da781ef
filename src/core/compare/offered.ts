/** So many ways to lay a week out are offered at most. From memory. */
export const OFFERED = 6;
