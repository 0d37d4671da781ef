/** What lies in an export, for who opens it without Hobnail. */
export const EXPORT_README = `HOBNAIL, EVERYTHING IN OPEN FORMATS

data/       Everything, one file a table: JSON, a list of rows, a row a line. Bytes are base64.
            This folder and pictures/ are what Hobnail reads when the export is imported elsewhere.
agenda/     Each calendar as iCalendar (RFC 5545): any calendar program reads it.
kits/       Each kit as CSV, one line a design. Lengths in millimeters.
books/      Each planner, measured, as JSON. Lengths in millimeters from a page's top left corner.
weeks/      Each week that is laid out: spread.json has every sticker and text with its place,
            spread.svg is the picture to scale (one unit is one millimeter), spread.png a small one.
log/        Dinners, habits, hours, spending, items, kits, colors, minutes at the bench, of all years: CSV.
pictures/   Pictures of scanned stickers and photos of finished pages: WebP, named by the SHA-256 of
            their bytes, by which data/piece.json and data/keep.json name them.

To take all of it into another Hobnail: Settings, Backups, Import a backup, and choose this file. It then
lies among the backups; "Put it back" shows what it holds and what would be lost before anything changes.
`;
