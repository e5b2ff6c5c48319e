'use client'

// Drawn from its data on both sides: the drawn table would travel a second time as a tree.
import { useState } from 'react'
import { OUTCOME_WORD } from '@/core/words/outcome'
import { StatusMark } from '@/ui/status-mark'
import { TextLink } from '@/ui/text-link'
import type { BoardData, BoardRow } from '../board-queries'
import type { BoardCell } from '../ladder-cell'
import classes from './board.module.css'
import { LadderMark } from './ladder-mark'

/** Some people in all six families, nearest to a next step first; each cell opens its ladder. */
export function Board({ families, rows }: Pick<BoardData, 'families' | 'rows'>) {
  return (
    <div className={classes.scroll} role="region" aria-label="Ladders" tabIndex={0}>
      <table className={classes.board}>
        <thead>
          <tr>
            <th scope="col">Name</th>
            {families.map((f) => (
              <th key={f.id} scope="col">
                {f.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <Row key={row.id} row={row} families={families} />
          ))}
        </tbody>
      </table>
    </div>
  )
}

function Row({ row, families }: { row: BoardRow; families: BoardData['families'] }) {
  const [open, setOpen] = useState(false)
  return (
    <>
      <tr>
        <th scope="row">
          <TextLink href={`/readiness/${row.id}`} fw={600}>
            {row.name}
          </TextLink>
          {row.missing.length === 0 ? null : (
            <button
              type="button"
              className={classes.more}
              aria-expanded={open}
              aria-label={`What is still missing for ${row.name}`}
              onClick={() => setOpen((was) => !was)}
            >
              {open ? 'less' : 'why'}
            </button>
          )}
        </th>
        {row.cells.map((cell) => (
          <td key={cell.family}>
            <Cell id={row.id} cell={cell} />
          </td>
        ))}
      </tr>
      {open ? (
        <tr className={classes.opened}>
          <td colSpan={families.length + 1}>
            <ul>
              {row.missing.map(({ family, text }) => (
                <li key={family}>
                  <strong>{family}:</strong> {text}
                </li>
              ))}
            </ul>
          </td>
        </tr>
      ) : null}
    </>
  )
}

function Cell({ id, cell }: { id: string; cell: BoardCell }) {
  return (
    <a
      className={classes.cell}
      href={`/readiness/${id}?family=${cell.family}`}
      aria-label={`${OUTCOME_WORD[cell.mark]}: ${cell.nextInFull}`}
      title={cell.nextInFull}
    >
      <LadderMark held={cell.held} at={cell.at} />
      <span className={classes.said}>
        <StatusMark outcome={cell.mark} size={17} />
        <span className={classes.next}>{cell.next}</span>
      </span>
    </a>
  )
}
