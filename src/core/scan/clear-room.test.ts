import { blankPicture, frame, paint } from '../../../tests/pictures';
import { baseOf, writingRoom } from '../spread/writing';
import { clearRoom } from './clear-room';

const [W, H, SCALE] = [38, 12, 10];
const label = (draw: (picture: ReturnType<typeof blankPicture>) => void = () => {}) => {
  const picture = blankPicture(W * SCALE, H * SCALE, '#f3d9c8');
  draw(picture);
  return picture;
};
const mm = (x: number, y: number, w: number, h: number) => ({ x: x * SCALE, y: y * SCALE, w: w * SCALE, h: h * SCALE });

describe('room to write on a picture', () => {
  it('is all of an even ground', () => expect(clearRoom(label(), W, H)).toEqual({ x: 0, y: 0, w: W, h: H }));

  it('is beside what is printed, and within a frame', () => {
    const withIcon = label((p) => paint(p, mm(2, 2, 8, 8), '#2f4a7c'));
    const room = clearRoom(withIcon, W, H)!;
    expect(room.x).toBeGreaterThanOrEqual(10);
    expect([room.x + room.w, room.y, room.h]).toEqual([W, 0, H]);
    const inFrame = clearRoom(
      label((p) => frame(p, mm(1, 1, W - 2, H - 2), '#2f4a7c', 3)),
      W,
      H,
    )!;
    expect([inFrame.x, inFrame.y].every((v) => v >= 1.3 && v <= 2)).toBe(true);
    expect([inFrame.x + inFrame.w, inFrame.y + inFrame.h]).toEqual([W - inFrame.x, H - inFrame.y]);
  });

  it('is none where a picture goes all over, nor where nothing covers', () => {
    const busy = label((p) => {
      for (let x = 0; x < W; x += 2) paint(p, mm(x, 0, 1, H), '#2f4a7c');
    });
    expect(clearRoom(busy, W, H)).toBeNull();
    const thin = label();
    for (let i = 3; i < thin.data.length; i += 4) thin.data[i] = 90;
    expect(clearRoom(thin, W, H)).toBeNull();
    expect(clearRoom(blankPicture(10, 10, '#ffffff'), 1, 1)).toBeNull();
  });

  it('holds for a whole sticker: writing goes there, and of a cut one as is usual for its kind', () => {
    const piece = { kind: 'label', shape: 'rect', width: W, height: H, clear: { x: 11, y: 0, w: 27, h: H } } as const;
    const room = writingRoom(baseOf(piece, { w: W, h: H }));
    expect(room.x).toBeGreaterThan(11);
    expect(room.x + room.w).toBeLessThan(W);
    const usual = writingRoom({ kind: 'label', shape: 'rect', w: 30, h: H });
    expect(writingRoom(baseOf(piece, { w: 30, h: H }))).toEqual(usual);
    expect(writingRoom(baseOf({ ...piece, clear: undefined }, { w: W, h: H })).x).toBe(usual.x);
    // beside what lies on it, too
    expect(writingRoom(baseOf(piece, { w: W, h: H }), [{ x: 11, y: 1, w: 9, h: 9 }]).x).toBeGreaterThan(20);
  });
});
