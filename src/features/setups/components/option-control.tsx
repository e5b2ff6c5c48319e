'use client'

import { Group, Select, Slider, Text } from '@mantine/core'
import { memo } from 'react'
import type { SetupOption } from '@/core/setups/setup'
import { choiceLabel } from '@/core/words/choice'
import { optionValue } from '@/core/words/figures'
import type { Wording } from '@/core/words/number'
import { STEP } from './grain'

type Props = {
  option: SetupOption
  value: number
  /** Why it goes no further; empty where it does. */
  stopped?: string
  wording: Wording
  onChange: (key: string, value: number) => void
  onDone: () => void
}

/** A slider, or a choice by name, for one option of a setup. */
export const OptionControl = memo(function OptionControl({
  option,
  value,
  stopped = '',
  wording,
  onChange,
  onDone,
}: Props) {
  if (option.choices)
    return (
      <Select
        label={option.label}
        data={option.choices.map((choice, i) => ({ value: String(i), label: choiceLabel(choice) }))}
        value={String(value)}
        allowDeselect={false}
        error={stopped}
        onChange={(i) => onChange(option.key, Number(i ?? value))}
      />
    )
  const text = optionValue(value, option.unit, wording)
  return (
    <div>
      <Group justify="space-between">
        <Text fw={500}>{option.label}</Text>
        <Text>{text}</Text>
      </Group>
      <Slider
        thumbLabel={option.label}
        value={value}
        min={option.min}
        max={option.max}
        step={STEP[option.unit]}
        label={null}
        thumbSize={26}
        onChange={(next) => onChange(option.key, next)}
        onChangeEnd={onDone}
        thumbProps={{ 'aria-valuetext': text }}
      />
      {stopped === '' ? null : (
        <Text size="sm" mt={4}>
          {stopped}
        </Text>
      )}
    </div>
  )
})
