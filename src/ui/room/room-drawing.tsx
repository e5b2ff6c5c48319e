import type { KeyboardEvent, PointerEvent, ReactNode } from 'react'
import { floorBefore, matBox, type Bay, type Box, type Door, type Room } from '@/core/room/room'
import classes from './room-drawing.module.css'

/** Somebody at a place; `id` is the bay's or mat's. */
export type Occupant = { readonly at: string; readonly name: string; readonly mark: string }

type Props = {
  room: Room
  occupants?: readonly Occupant[]
  label: string
  /** For the Studio: what is picked, and handlers for each drawn thing. */
  picked?: string | null
  handle?: (id: string, name: string) => Handle
  height?: string
}
export type Handle = {
  readonly role: 'button'
  readonly tabIndex: 0
  readonly 'aria-label': string
  readonly onPointerDown: (event: PointerEvent<SVGGElement>) => void
  readonly onKeyDown: (event: KeyboardEvent<SVGGElement>) => void
}

const MARGIN = 34
/** How far out from the wall a bay is drawn: a body's length, cm. */
const BAY_DEPTH = 170
/** A closed bay is only hinted at, cm. */
const CLOSED_DEPTH = 46

/** The room from above, to scale: walls, ways out, bays, mats, what stands about, and who is where. */
export function RoomDrawing({ room, occupants = [], label, picked = null, handle, height }: Props) {
  const { widthCm, depthCm, bays, mats, doors, things } = room
  const at = (id: string): Occupant | undefined => occupants.find((o) => o.at === id)
  const grip = (id: string, name: string) =>
    handle ? { ...handle(id, name), className: classes.handle } : {}
  const edge = (id: string, usual: string | undefined): string =>
    `${usual ?? ''} ${picked === id ? (classes.picked ?? '') : ''}`
  return (
    <figure
      className={classes.figure}
      tabIndex={0}
      aria-label="The room"
      style={height ? ({ '--room-height': height } as React.CSSProperties) : undefined}
    >
      <svg
        viewBox={`${-MARGIN} ${-MARGIN} ${widthCm + 2 * MARGIN} ${depthCm + 2 * MARGIN}`}
        role={handle ? 'group' : 'img'}
        aria-label={label}
        className={classes.room}
      >
        <rect x={0} y={0} width={widthCm} height={depthCm} className={classes.floor} />
        {bays.map((bay, i) => {
          const zone = floorBefore(room, bay, bay.usable ? BAY_DEPTH : CLOSED_DEPTH)
          return (
            <g key={bay.id} {...grip(bay.id, `Bay ${i + 1}`)}>
              <rect {...zone} className={edge(bay.id, bay.usable ? classes.bay : classes.closed)} />
              <WallEdge room={room} part={bay} className={bay.usable ? classes.edge : classes.edgeClosed} />
              <Labels
                box={zone}
                occupant={at(bay.id)}
                title={bay.usable ? `Bay ${i + 1}` : ''}
                note={bay.usable ? bay.obstacle : ''}
              />
            </g>
          )
        })}
        {things.map((t) => (
          <g key={t.id} {...grip(t.id, t.name)}>
            <rect
              x={t.xCm}
              y={t.yCm}
              width={t.widthCm}
              height={t.depthCm}
              className={edge(t.id, classes.thing)}
            />
            <Middle x={t.xCm + t.widthCm / 2} y={t.yCm + t.depthCm / 2 + 6} className={classes.small}>
              {t.name}
            </Middle>
          </g>
        ))}
        {mats.map((mat, i) => {
          const box = matBox(mat)
          const somebody = at(mat.id)
          return (
            <g key={mat.id} {...grip(mat.id, `Mat ${i + 1}`)}>
              <rect {...box} rx={4} className={edge(mat.id, somebody ? classes.mat : classes.empty)} />
              {somebody ? <Labels box={box} occupant={somebody} /> : null}
            </g>
          )
        })}
        {doors.map((door) => (
          <g key={door.id} {...grip(door.id, 'Way out')}>
            <WallEdge room={room} part={door} className={edge(door.id, classes.door)} />
            <DoorWord room={room} door={door} />
          </g>
        ))}
      </svg>
    </figure>
  )
}

function WallEdge({
  room,
  part,
  className,
}: {
  room: Room
  part: Pick<Bay, 'side' | 'fromCm' | 'widthCm'>
  className: string | undefined
}) {
  const { x, y, width, height } = floorBefore(room, part, 0)
  return <line x1={x} y1={y} x2={x + width} y2={y + height} className={className} />
}

function DoorWord({ room, door }: { room: Room; door: Door }) {
  const { x, y, width, height } = floorBefore(room, door, 0)
  const [dx, dy] = {
    north: [0, -14],
    south: [0, 26],
    west: [-6, 0],
    east: [6, 0],
  }[door.side] as [number, number]
  const turn = door.side === 'west' ? -90 : door.side === 'east' ? 90 : 0
  const [cx, cy] = [x + width / 2 + dx * 2, y + height / 2 + dy]
  return (
    <text
      x={cx}
      y={cy}
      textAnchor="middle"
      className={classes.small}
      transform={turn === 0 ? undefined : `rotate(${turn} ${cx} ${cy})`}
    >
      Way out
    </text>
  )
}

function Labels({
  box,
  occupant,
  title = '',
  note = '',
}: {
  box: Box
  occupant: Occupant | undefined
  title?: string
  note?: string
}) {
  const x = box.x + box.width / 2
  const y = box.y + box.height / 2
  return (
    <>
      {title === '' ? null : (
        <Middle x={x} y={y - 52} className={classes.small}>
          {title}
        </Middle>
      )}
      {occupant ? (
        <>
          <Middle x={x} y={y - 4} className={classes.name}>
            {occupant.name}
          </Middle>
          <Middle x={x} y={y + 20} className={classes.small}>
            {occupant.mark}
          </Middle>
        </>
      ) : null}
      {note === '' ? null : (
        <Middle x={x} y={y + 52} className={classes.small}>
          {note}
        </Middle>
      )}
    </>
  )
}

function Middle({
  children,
  ...rest
}: {
  x: number
  y: number
  className: string | undefined
  children: ReactNode
}) {
  return (
    <text textAnchor="middle" {...rest}>
      {children}
    </text>
  )
}
