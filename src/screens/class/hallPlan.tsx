'use client';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type Announcements,
  type UniqueIdentifier,
} from '@dnd-kit/core';
import { CSS } from '@dnd-kit/utilities';
import type { ReactNode } from 'react';
import type { PlaceId } from '../../core/shapes/hallPlace';
import type { UnitSystem } from '../../core/shapes/person';
import type { FloorPlan, FloorSlot } from '../../core/train/seats/floor';
import { Measured } from '../drawing/measured';
import { cm, edge, HallPicture, heightOf, namedFrom, widthOf, type DrawnPlace } from './hallPicture';
import { slotWords } from './setUpWords';
import { placeByPlace } from './towards';

/** A figure beside its number. */
const figureBox = { wide: 66, up: 64, down: 38, aside: 14 } as const;
/** What a thumb takes hold of at a place, around its middle. */
const grip = { wide: 86, up: 66, down: 40 } as const;

interface Drawn {
  readonly floor: FloorPlan;
  readonly places: readonly DrawnPlace[];
  readonly beside: readonly (readonly FloorSlot[])[];
  readonly units: UnitSystem;
  /** What there is to hold on to. */
  readonly rail: string;
  /** The place that was tapped: the next tap says where they go. */
  readonly picked: PlaceId | null;
  readonly pick: (at: PlaceId | null) => void;
  readonly move: (from: PlaceId, to: PlaceId) => void;
  /** A class that is over stays as it was. */
  readonly fixed: boolean;
}

/**
 * The hall from above, as it is put up: the wall with its rail, each place with its number, the chair with its back and the
 * height of its seat, and whoever leads in front. A place is dragged, or carried by the arrow keys, or tapped and put down with a
 * second tap. The list beside it says the same.
 */
export function HallPlan(drawn: Drawn) {
  return (
    // Lists stand beside a small hall, which is drawn a little smaller for them, and under a large one.
    <div
      className="max-w-full max-sm:hidden print:block print:group-data-crowded:float-left print:group-data-crowded:mr-6"
      style={{ flex: `0 1 ${besideWidth(drawn.floor)}px` }}
    >
      <Measured start={1200}>{(px) => <Hall {...drawn} px={px} />}</Measured>
    </div>
  );
}

const besideWidth = (floor: FloorPlan): number =>
  widthOf(floor) <= 1100 ? Math.min(widthOf(floor), 790) : widthOf(floor);

/** A small hall is not blown up; a deep one is seen whole on a screen, as long as names have their room. */
const mostWidth = (floor: FloorPlan): number =>
  Math.min(widthOf(floor), Math.max((mostHighPx * widthOf(floor)) / heightOf(floor), namedFrom * widthOf(floor)));
const mostHighPx = 560;

function Hall({ px, ...drawn }: Drawn & { px: number }) {
  const { floor, places, picked, pick, move, fixed } = drawn;
  const width = widthOf(floor);
  const scale = Math.min(mostWidth(floor), px) / width;
  const nameAt = (id: UniqueIdentifier | undefined): string => {
    const place = places.find((p) => p.id === id);
    const slot = place ?? floor.free.find((s) => s.id === id);
    return place
      ? `${place.names.join(' and ')} at ${slotWords(place)}`
      : slot
        ? `${slotWords(slot)}, free`
        : 'nothing';
  };
  const spoken: Announcements = {
    onDragStart: ({ active }) => `${nameAt(active.id)} is picked up. Arrow keys carry it from place to place.`,
    onDragOver: ({ over }) => `Over ${nameAt(over?.id)}.`,
    onDragEnd: ({ over }) => `Put down at ${nameAt(over?.id)}.`,
    onDragCancel: () => 'Nobody was moved.',
  };
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    // A thumb that scrolls moves nobody.
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: placeByPlace }),
  );
  const tapped = (slot: FloorSlot) => {
    if (picked === null) pick(slot.id);
    else {
      if (picked !== slot.id) move(picked, slot.id);
      pick(null);
    }
  };
  return (
    <div
      className={`relative border-2 border-ink bg-wood-pale ${floor.widthM <= 8 ? 'print:max-w-lg! print:group-data-crowded:w-md!' : 'print:group-data-crowded:w-md!'}`}
      style={{ maxWidth: `${mostWidth(floor)}px` }}
    >
      <HallPicture {...drawn} scale={scale} />
      {places.map((p) => p.doing && <Figure key={p.id} floor={floor} place={p} figure={p.doing.figure} />)}
      {!fixed && (
        <DndContext
          id="places-dragged"
          accessibility={{ announcements: spoken }}
          sensors={sensors}
          collisionDetection={closestCenter}
          onDragEnd={({ active, over }) => {
            const [from, to] = [active.id, over?.id].map(
              (id) => [...places, ...floor.free].find((s) => s.id === id)?.id,
            );
            pick(null);
            if (from && to && from !== to) move(from, to);
          }}
        >
          {[...places, ...floor.free].map((slot) => (
            <Grip
              key={slot.id}
              slot={slot}
              style={boxOf(floor, slot, grip)}
              who={places.find((p) => p.id === slot.id)?.names ?? []}
              picked={picked}
              small={px / width < 0.5}
              tapped={() => tapped(slot)}
            />
          ))}
        </DndContext>
      )}
    </div>
  );
}

/** In shares of the picture, so that it fits however wide that is drawn, also on paper. */
function boxOf(
  floor: FloorPlan,
  { xM, yM }: FloorSlot,
  { wide, up, down, aside = 0 }: { wide: number; up: number; down: number; aside?: number },
) {
  const [width, height] = [widthOf(floor), heightOf(floor)];
  return {
    left: `${(100 * (edge.left + cm(xM) + aside - wide / 2)) / width}%`,
    top: `${(100 * (edge.top + cm(yM) - up)) / height}%`,
    width: `${(100 * wide) / width}%`,
    height: `${(100 * (up + down)) / height}%`,
  };
}

function Figure({ floor, place, figure }: { floor: FloorPlan; place: FloorSlot; figure: ReactNode }) {
  return (
    <div className="pointer-events-none absolute" style={boxOf(floor, place, figureBox)}>
      {figure}
    </div>
  );
}

/** What is taken hold of: somebody at their place, or a free place that shows while somebody is on their way. */
function Grip({
  slot,
  style,
  who,
  picked,
  small,
  tapped,
}: {
  slot: FloorSlot;
  style: Readonly<Record<string, string>>;
  who: readonly string[];
  picked: PlaceId | null;
  /** Drawn so small that a finger needs more room than the drawing has. */
  small: boolean;
  tapped: () => void;
}) {
  const taken = who.length > 0;
  const { setNodeRef: dropRef, isOver, active } = useDroppable({ id: slot.id });
  const { setNodeRef, listeners, attributes, transform, isDragging } = useDraggable({ id: slot.id, disabled: !taken });
  const underWay = picked !== null || active !== null;
  if (!taken && !underWay)
    return <div ref={dropRef} className="pointer-events-none absolute print:hidden" style={style} />;
  const title = taken ? `${who.join(' and ')}, ${slotWords(slot)}` : `${slotWords(slot)}, free`;
  const put = picked !== null && picked !== slot.id;
  return (
    <div ref={dropRef} className="absolute print:hidden" style={style}>
      <button
        ref={setNodeRef}
        type="button"
        {...(taken ? { ...attributes, ...listeners } : {})}
        aria-pressed={picked === slot.id}
        aria-roledescription={undefined}
        aria-label={put ? `Put down at ${title}` : `Move ${title}`}
        onClick={tapped}
        style={{ transform: CSS.Translate.toString(transform) }}
        className={`block size-full min-h-11 cursor-grab touch-manipulation rounded-md border-4 ${small ? '' : 'min-w-11'} ${
          isDragging
            ? 'relative z-10 border-squat bg-board/60'
            : picked === slot.id
              ? 'border-squat'
              : isOver || (underWay && !taken)
                ? `border-dashed ${isOver ? 'border-squat' : 'border-ink'}`
                : 'border-transparent hover:border-ink/40'
        }`}
      >
        {isDragging && <span className="font-bold">{who.join(', ')}</span>}
      </button>
    </div>
  );
}
