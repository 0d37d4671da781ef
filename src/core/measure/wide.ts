/** Letters that take the room of two: East Asian ones (Unicode Standard Annex 11) and emoji. */
export const WIDE = /[\u2e80-\u9fff\uac00-\ud7af\uf900-\ufaff\uff00-\uff60]|\p{Emoji_Presentation}/u;

/** What takes no room of its own: marks, joiners, what chooses between two shapes of a letter. */
export const NO_ROOM = /[\p{M}\u200b-\u200f\u2060\ufe0e\ufe0f]/u;
