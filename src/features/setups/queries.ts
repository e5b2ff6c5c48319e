import 'server-only'
import type { BodyInput } from '@/core/body/estimate'
import { findById, library } from '@/core/practice/library'
import type { Stock } from '@/core/props/stock'
import { SETUPS } from '@/core/setups/catalogue'
import { listStudents } from '@/db/students'
import { context } from '../context'

export type BenchPerson = { id: string; name: string; body: BodyInput | null }

/** Who and what can be measured: people with their bodies, setups that can be solved, what is in stock. */
export function benchData(): {
  people: BenchPerson[]
  setups: { id: string; label: string }[]
  stock: Stock
} {
  const { db, studio } = context()
  return {
    people: listStudents(db).map(({ id, name, statureCm, measured }) => ({
      id,
      name,
      body: statureCm === null ? null : { statureCm, measured },
    })),
    setups: SETUPS.map((setup) => ({ id: setup.id, label: findById(library().setups, setup.id).name })),
    stock: studio.stock,
  }
}
