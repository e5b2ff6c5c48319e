'use client'

import { useId } from 'react'
import classes from './scale-pick.module.css'

type Option<T extends string> = { readonly value: T; readonly label: string }

/** One tap out of a row of big targets. */
export function TapPick<T extends string>({
  label,
  options,
  value,
  onChange,
  ends,
  problem,
}: {
  label: string
  options: readonly Option<T>[]
  value: T | null
  onChange: (value: T) => void
  /** What the first and the last of eleven mean. */
  ends?: readonly [string, string]
  problem?: string | undefined
}) {
  const name = useId()
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{label}</legend>
      <div className={ends ? classes.scale : classes.row}>
        {options.map((option) => (
          <label key={option.value} className={classes.pick}>
            <input
              type="radio"
              name={name}
              value={option.value}
              checked={value === option.value}
              onChange={() => onChange(option.value)}
            />
            <span>{option.label}</span>
          </label>
        ))}
      </div>
      {ends ? (
        <div className={classes.ends} aria-hidden="true">
          <span>{ends[0]}</span>
          <span>{ends[1]}</span>
        </div>
      ) : null}
      {problem ? (
        <div role="alert" className={classes.problem}>
          {problem}
        </div>
      ) : null}
    </fieldset>
  )
}

const ZERO_TO_TEN = Array.from({ length: 11 }, (_, i) => ({ value: String(i), label: String(i) }))

/** A scale from 0 to 10. */
export function ScalePick({
  value,
  onChange,
  ...rest
}: {
  label: string
  value: number | null
  onChange: (value: number) => void
  ends: readonly [string, string]
  problem?: string | undefined
}) {
  return (
    <TapPick
      {...rest}
      options={ZERO_TO_TEN}
      value={value === null ? null : String(value)}
      onChange={(picked) => onChange(Number(picked))}
    />
  )
}

/** Any number out of a row of big targets. */
export function TapMany<T extends string>({
  label,
  options,
  values,
  onChange,
  problem,
}: {
  label: string
  options: readonly Option<T>[]
  values: readonly T[]
  onChange: (values: T[]) => void
  problem?: string | undefined
}) {
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{label}</legend>
      <div className={classes.row}>
        {options.map((option) => (
          <label key={option.value} className={classes.pick}>
            <input
              type="checkbox"
              checked={values.includes(option.value)}
              onChange={(e) =>
                onChange(
                  e.currentTarget.checked
                    ? [...values, option.value]
                    : values.filter((v) => v !== option.value),
                )
              }
            />
            <span>{option.label}</span>
          </label>
        ))}
      </div>
      {problem ? (
        <div role="alert" className={classes.problem}>
          {problem}
        </div>
      ) : null}
    </fieldset>
  )
}
