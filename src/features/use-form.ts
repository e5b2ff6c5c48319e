'use client'

import { useState } from 'react'
import type { Answer } from './answer'
import { useSubmit, type Submit } from './use-submit'

type Control = { readonly error: string | undefined; readonly onChange: (to: unknown) => void }
/** What a bound control is given: its value, what typing or choosing does, and the sentence beside it. */
// oxlint-disable-next-line typescript/no-explicit-any -- each control knows what its value is
export type Bound = Control & { readonly value: any }
type Ticked = Control & { readonly checked: boolean }

export type Fields<V> = {
  readonly values: V
  /** Changes part of what is typed. */
  readonly change: (part: Partial<V>) => void
  /** Empties what was sent, once it is stored; what was put in meanwhile is already the next one's and stays. */
  readonly renew: (sent: V, fresh: Partial<V>) => void
  /** Binds a control to what is typed. */
  readonly field: (name: keyof V & string) => Bound
  /** The same for what is ticked or not. */
  readonly tick: (name: keyof V & string) => Ticked
}

export type Form<V, I, T> = Submit<I, T> &
  Fields<V> & {
    /** Sends what is made of the values, and knows until the next change that they are kept. */
    readonly keep: (input: I) => Promise<T | null>
    /** Said beside the button while what is typed is what is kept. */
    readonly said: string
  }

/** Controls bound by name to what is typed, each with its sentence. */
export function useBound<V extends Record<string, unknown>>(
  initial: V,
  problemOf: (path: string) => string | undefined,
): Fields<V> {
  const [values, setValues] = useState(initial)
  const change = (part: Partial<V>): void => setValues((all) => ({ ...all, ...part }))
  const renew = (sent: V, fresh: Partial<V>): void =>
    setValues((all) => {
      const isAsSent = ([name]: [string, unknown]): boolean => Object.is(all[name], sent[name])
      return { ...all, ...(Object.fromEntries(Object.entries(fresh).filter(isAsSent)) as Partial<V>) }
    })
  const control = (name: keyof V & string): Control => ({
    error: problemOf(name),
    onChange: (to) => change({ [name]: handedOver(to) } as Partial<V>),
  })
  return {
    values,
    change,
    renew,
    field: (name) => ({ ...control(name), value: values[name] }),
    tick: (name) => ({ ...control(name), checked: values[name] === true }),
  }
}

/** A form: what is typed, and its sending. Whatever is refused, what was typed stays. */
export function useForm<V extends Record<string, unknown>, I, T>(
  initial: V,
  action: (input: I) => Promise<Answer<T>>,
): Form<V, I, T> {
  const submit = useSubmit(action)
  const bound = useBound(initial, submit.problemOf)
  const [kept, setKept] = useState<V | null>(null)
  const keep = async (input: I): Promise<T | null> => {
    const stored = await submit.send(input)
    setKept(stored === null ? null : bound.values)
    return stored
  }
  return { ...submit, ...bound, keep, said: kept === bound.values ? 'Saved.' : '' }
}

/** Fields hand over an event, lists and numbers the value itself. */
function handedOver(to: unknown): unknown {
  if (typeof to !== 'object' || to === null || !('currentTarget' in to)) return to
  const { type, checked, value } = to.currentTarget as HTMLInputElement
  return type === 'checkbox' ? checked : value
}
