'use client'

import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import { guessColumns, rowBy, type TableKind } from '@/core/formats/table-in'
import type { Problem } from '../answer'
import { tableIn } from './table-actions'

/** Rows looked through in one go: so often the bar moves, and so soon it can be stopped. */
const AT_ONCE = 250
type Table = { readonly name: string; readonly headings: string[]; readonly rows: string[][] }
export type Told = { readonly fresh: number; readonly known: number }
const UNREACHED: Problem = { path: '', message: 'The server did not answer. Nothing was stored.' }

/** A table on its way in: read by its columns, looked through in parts that can be stopped, then kept whole. */
export function useTable(kind: TableKind) {
  const router = useRouter()
  const [table, setTable] = useState<Table | null>(null)
  const [columns, setColumns] = useState<Record<string, number>>({})
  const [problems, setProblems] = useState<readonly Problem[]>([])
  const [done, setDone] = useState<number | null>(null)
  const [read, setRead] = useState<Told | null>(null)
  const [kept, setKept] = useState<Told | null>(null)
  const stopped = useRef(false)
  const isStopped = (): boolean => stopped.current
  const forget = (): void => {
    setProblems([])
    setRead(null)
    setKept(null)
  }
  const open = async (file: File | null): Promise<void> => {
    forget()
    setTable(null)
    if (!file) return
    const { default: Papa } = await import('papaparse')
    const { data } = Papa.parse<string[]>(await file.text(), { skipEmptyLines: 'greedy' })
    const [headings = [], ...rows] = data
    setTable({ name: file.name, headings, rows })
    setColumns(guessColumns(kind, headings))
  }
  const choose = (next: TableKind): void => {
    forget()
    if (table) setColumns(guessColumns(next, table.headings))
  }
  const rowsOf = ({ rows }: Table): Record<string, string>[] =>
    rows.map((cells) => rowBy(kind, columns, cells))
  const look = async (): Promise<void> => {
    if (!table) return
    forget()
    stopped.current = false
    const rows = rowsOf(table)
    const sum = { fresh: 0, known: 0 }
    for (let at = 0; at < rows.length && !isStopped(); at += AT_ONCE) {
      setDone(at / rows.length)
      const part = rows.slice(at, at + AT_ONCE)
      const answer = await tableIn({ kind, rows: part, firstLine: at + 2, keep: false }).catch(() => null)
      if (!answer?.ok) {
        setProblems(answer?.problems ?? [UNREACHED])
        setDone(null)
        return
      }
      sum.fresh += answer.value.fresh
      sum.known += answer.value.known
    }
    setDone(null)
    if (!isStopped()) setRead(sum)
  }
  const keep = async (): Promise<void> => {
    if (!table) return
    setDone(1)
    const answer = await tableIn({ kind, rows: rowsOf(table), firstLine: 2, keep: true }).catch(() => null)
    setDone(null)
    if (!answer?.ok) {
      setProblems(answer?.problems ?? [UNREACHED])
      return
    }
    setRead(null)
    setKept(answer.value)
    router.refresh()
  }
  const setColumn = (key: string, at: number): void => {
    forget()
    setColumns((now) => ({ ...now, [key]: at }))
  }
  const stop = (): void => {
    stopped.current = true
  }
  return { table, columns, problems, done, read, kept, open, choose, setColumn, look, keep, stop }
}
