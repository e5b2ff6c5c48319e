import type { RoomSpot } from '../queries'
import classes from './room-picture.module.css'

type Props = { spots: readonly RoomSpot[]; bays: number; wallBays: number }

const BAY = 120
const MAT = { width: 92, height: 74, gapX: 16, gapY: 20 }

/** The room from above: wall bays at the top, mats in rows below, tonight's people at their places. */
export function RoomPicture({ spots, bays, wallBays }: Props) {
  const columns = Math.max(wallBays, 5)
  const width = columns * BAY
  const perRow = Math.floor(width / (MAT.width + MAT.gapX))
  const waiting = spots.filter((s) => s.bay === null)
  const rows = Math.ceil(waiting.length / perRow)
  const height = 134 + rows * (MAT.height + MAT.gapY)
  return (
    <figure className={classes.figure} tabIndex={0} aria-label="The room">
      <svg
        viewBox={`-8 -8 ${width + 16} ${height + 16}`}
        role="img"
        aria-label={`The room from above: ${bays} of ${wallBays} wall bays in use, ${spots.length} people`}
        className={classes.room}
      >
        <rect x={0} y={0} width={width} height={height} className={classes.floor} />
        {Array.from({ length: wallBays }, (_, i) => (
          <Bay key={i} index={i} used={i < bays} person={spots.find((s) => s.bay === i + 1)} />
        ))}
        {waiting.map((spot, i) => {
          const row = Math.floor(i / perRow)
          const inRow = Math.min(perRow, waiting.length - row * perRow)
          const left = (width - inRow * (MAT.width + MAT.gapX) + MAT.gapX) / 2
          return (
            <Mat
              key={spot.name}
              x={left + (i % perRow) * (MAT.width + MAT.gapX)}
              y={130 + row * (MAT.height + MAT.gapY)}
              spot={spot}
            />
          )
        })}
      </svg>
    </figure>
  )
}

function Bay({ index, used, person }: { index: number; used: boolean; person: RoomSpot | undefined }) {
  const x = index * BAY
  return (
    <g>
      <rect x={x + 4} y={0} width={BAY - 8} height={10} className={used ? classes.bayUsed : classes.bay} />
      <text x={x + BAY / 2} y={26} textAnchor="middle" className={classes.small}>
        Bay {index + 1}
      </text>
      {person ? <Mat x={x + (BAY - MAT.width) / 2} y={36} spot={person} /> : null}
    </g>
  )
}

function Mat({ x, y, spot }: { x: number; y: number; spot: RoomSpot }) {
  const [first = '', ...rest] = spot.name.split(' ')
  return (
    <g>
      <rect x={x} y={y} width={MAT.width} height={MAT.height} rx={3} className={classes.mat} />
      <text x={x + MAT.width / 2} y={y + 26} textAnchor="middle" className={classes.name}>
        {first}
      </text>
      <text x={x + MAT.width / 2} y={y + 42} textAnchor="middle" className={classes.small}>
        {rest.join(' ')}
      </text>
      <text x={x + MAT.width / 2} y={y + 62} textAnchor="middle" className={classes.mark}>
        {spot.mark}
      </text>
    </g>
  )
}
