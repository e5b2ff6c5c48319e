'use client'

import { Stack } from '@mantine/core'
import type { Ref } from 'react'
import { armLoad, type Position } from '@/core/mechanics/position'
import { findSetup } from '@/core/setups/catalogue'
import type { Stock } from '@/core/props/stock'
import { directionOf, handlesOf, valueAt } from '@/core/setups/handles'
import type { SetupSolution } from '@/core/setups/setup'
import { optionValue } from '@/core/words/figures'
import { deg, length, percent, plain, type Wording } from '@/core/words/number'
import { crownSentence, describeLoads, describeScene, plumbSentence } from '@/core/words/setup'
import { SceneHandle } from '@/ui/scene/scene-handle'
import { SceneView } from '@/ui/scene/scene-view'
import { TopDrawing } from '@/ui/scene/top-view'
import classes from './bench.module.css'
import { GRAIN, STEP } from './grain'
import { OptionControl } from './option-control'
import type { Stopped } from './use-moves'
import { useTracks } from './use-tracks'
import { Notice } from '@/ui/notice'

type Props = {
  solution: SetupSolution
  refusal: string | null
  /** Why a handle went no further. */
  stopped: Stopped | null
  stock: Stock
  wording: Wording
  change: (key: string, value: number) => void
  /** A move is over: now it may be asked about and read out. */
  onDone: () => void
  svgRef: Ref<SVGSVGElement>
}

/** The measured drawing with its handles and sliders; everything follows in the same frame. */
export function BenchDrawing({ solution, refusal, stopped, stock, wording, change, onDone, svgRef }: Props) {
  const { scene, options } = solution
  const all = findSetup(solution.id)?.options ?? []
  const tracks = useTracks(stock)
  return (
    <Stack gap="sm">
      {refusal === null ? null : <Notice title={refusal} />}
      <div className={classes.drawing}>
        {/* Over the drawing: nothing moves under the finger, and the handle is in view beside it. */}
        {stopped === null ? null : (
          <p role="alert" className={classes.stopped}>
            {stopped.text}
          </p>
        )}
        <SceneView scene={scene} wording={wording} label={describeScene(solution, wording)} svgRef={svgRef}>
          {handlesOf(solution, all).map((handle) => {
            const { option, at, axis } = handle
            const value = options[option.key] ?? option.min
            return (
              <SceneHandle
                key={option.key}
                {...{ at, axis, value, onDone }}
                valueAt={(cm) => valueAt(tracks.of(solution, handle), cm, value)}
                direction={() => directionOf(tracks.of(solution, handle))}
                grain={GRAIN[option.unit]}
                min={option.min}
                max={option.max}
                step={STEP[option.unit]}
                label={option.label}
                valueText={optionValue(value, option.unit, wording)}
                stopped={stopped?.key === option.key}
                onChange={(next) => change(option.key, next)}
              />
            )
          })}
        </SceneView>
      </div>
      <LiveFigures solution={solution} wording={wording} />
      {scene.top ? (
        <TopDrawing
          top={scene.top}
          wording={wording}
          label={`From above: ${scene.top.dimensions.map((d) => length(d.valueCm, wording)).join(', ')} across.`}
        />
      ) : null}
      {all.map((option) => (
        <OptionControl
          key={option.key}
          {...{ option, wording, onDone }}
          value={options[option.key] ?? option.min}
          stopped={stopped?.key === option.key ? stopped.text : ''}
          onChange={change}
        />
      ))}
    </Stack>
  )
}

/** The figures that matter most, heard by screen readers when a handle moves. Plain elements: they follow every frame. */
function LiveFigures({ solution, wording }: { solution: SetupSolution; wording: Wording }) {
  const { target, start } = solution
  const arms = armLoad(target)
  return (
    <div aria-live="polite" className={classes.figures}>
      <p>
        <strong>{describeLoads(target)}</strong> of body weight
        {arms.max - arms.min > 0.04
          ? ` (arms ${percent(arms.min)} to ${percent(arms.max)}, by where the weight sits on them)`
          : ''}
        {start === target ? '.' : `. At the start: ${describeLoads(start).toLowerCase()}.`}
      </p>
      <p>{plumbSentence(target, wording)}</p>
      {target.wallX === null ? null : (
        <p>{`${leanSentence(target.angles)} ${crownSentence(target.headClearanceCm, wording)}`}</p>
      )}
      {start.rise ? (
        <p>
          {`The kick has ${length(start.rise.riseCm, wording)} still to lift (${plain(start.rise.energyJPerKg)} J/kg).`}
        </p>
      ) : null}
    </div>
  )
}

/** Lean and arch; a fold at the hips is no arch and has its own word. */
function leanSentence({ trunkLeanDeg, archDeg, hipFlexionDeg }: Position['angles']): string {
  const bend =
    archDeg > 1 ? `arch ${deg(archDeg)}` : hipFlexionDeg > 1 ? `hips folded ${deg(hipFlexionDeg)}` : 'no arch'
  return `Lean ${deg(Math.max(trunkLeanDeg, 0))}, ${bend}.`
}
