import { MouseSensor, TouchSensor, useSensor, useSensors } from '@dnd-kit/core';

/** A press of the mouse becomes a drag after so many pixels, so that a click still opens what it is on. */
const PIXELS = 6;
/** A finger rests so long before it drags, ms: one that moves at once scrolls. It may tremble by so many pixels. */
const REST = { delay: 220, tolerance: 8 };

export const useDragSensors = () =>
  useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: PIXELS } }),
    useSensor(TouchSensor, { activationConstraint: REST }),
  );
