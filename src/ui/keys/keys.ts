/** What a key does, as the list of keys tells it. */
export type Key = readonly [key: string, does: string];

/** On every screen. */
const EVERYWHERE: readonly Key[] = [
  ['?', 'show the keys of this screen'],
  ['Tab, Shift Tab', 'go to the next thing, the one before'],
  ['Ctrl Z, Ctrl Y', 'undo, redo'],
];

const SPREAD: readonly Key[] = [
  ['Arrows', 'move the chosen piece by a little, with Shift by more; walk the places for what is in hand'],
  ['Enter', 'lay what is in hand on the place'],
  [', and .', 'choose the piece before, the piece after'],
  ['Shift click', 'choose one more, to move or take off several in one go'],
  ['Delete', 'take off what is chosen'],
  ['T', 'turn it by a quarter'],
  ['L', 'lock or unlock it'],
  ['A', 'arrange what is open'],
  ['+ and −', 'look nearer, farther; so does the wheel with Ctrl'],
  ['Z', 'come near the chosen piece, and back'],
  ['0', 'see the whole again'],
  ['B', 'the book alone, and back'],
  ['Esc', 'let go'],
];

const BENCH: readonly Key[] = [
  ['Enter, Space', 'tick the step, where no button has the focus'],
  ['Left, Right', 'the step before, the next one'],
  ['Backspace', 'untick it'],
  ['G', 'the whole group at once, and back'],
  ['W', 'something went wrong'],
  ['Alt Up, Alt Down', 'in the list: do that group or step earlier, later'],
];

const BOOKS: readonly Key[] = [
  ['Arrows', 'move the chosen part by a little; with Shift by more'],
  ['Delete', 'remove it'],
  ['Esc', 'let go'],
];

const SCAN: readonly Key[] = [
  ['1 to 9', 'full box, half box, quarter box, header, checklist, label, flag, icon, deco'],
  ['Q, W, E', 'it is what is offered: the first, the second, the third'],
  ['N, P', 'choose the next sticker, the one before'],
  ['M', 'choose all of its size'],
  ['Shift click', 'choose one more'],
  ['Arrows', 'move the chosen one by 0.2 mm; with Shift its right and its lower edge'],
  ['A', 'add one that is missing, in the middle of the sheet'],
  ['R', 'it is right as it is'],
  ['S', 'all chosen are of one design'],
  ['J', 'join the chosen to one'],
  ['Delete', 'remove the chosen'],
  ['Esc', 'let go'],
];

/** The keys of each screen, by the beginning of its address; the longest that fits holds. */
const SCREENS: readonly (readonly [address: RegExp, keys: readonly Key[]])[] = [
  [/^\/spreads\/[^/]+\/bench/, BENCH],
  [/^\/spreads\//, SPREAD],
  [/^\/books/, BOOKS],
  [/^\/scan/, SCAN],
];

/** What the keyboard does on a screen, its own keys first. */
export const keysOf = (address: string): readonly Key[] => [
  ...(SCREENS.find(([screen]) => screen.test(address))?.[1] ?? []),
  ...EVERYWHERE,
];
