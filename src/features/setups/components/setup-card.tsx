'use client'

import { Grid, GridCol, List, Stack, Text } from '@mantine/core'
import { setupSheet, writeSetupFile } from '@/core/formats/setup-file'
import { sheetSvg } from '@/core/formats/sheet-svg'
import { useRef } from 'react'
import { describeLoads, describeProp, describeScene, describeStep, plumbSentence } from '@/core/words/setup'
import { PageHead } from '@/ui/page-head'
import { PrintButton } from '@/ui/print-button'
import { SafetyLine } from '@/ui/safety-line'
import { saveFile } from '@/ui/save-file'
import { SceneView } from '@/ui/scene/scene-view'
import { SheetFiles } from '@/ui/sheet-files'
import { useWording } from '@/ui/wording'
import type { CardData } from '../queries'
import { PlacementTable } from './bench-numbers'
import { solveForScreen } from './bench-state'

/** One setup for one body on one page: drawing, distances, steps, the way out. */
export function SetupCard({ facts, name, body, options, stock, limit }: CardData) {
  const wording = useWording()
  const { solution, refusal } = solveForScreen(body, facts.id, options, stock, wording)
  // What is closed is said on the card, and no program is told how to build it.
  const keep =
    solution && !limit.closed
      ? () => saveFile(`${facts.label}.json`, 'application/json', writeSetupFile(facts, solution, wording))
      : null
  const sheet = useRef<HTMLDivElement>(null)
  const draw = async (): Promise<string | null> => {
    const { standalone } = await import('./export-drawing')
    const svg = sheet.current?.querySelector<SVGSVGElement>('svg[aria-label="Drawing to scale"]')
    return svg && solution ? sheetSvg(setupSheet(facts, name, solution, standalone(svg), wording)) : null
  }
  return (
    <Stack maw={900} ref={sheet}>
      <PageHead title={facts.label} lead={name}>
        {keep ? <SheetFiles name={facts.label} drawing={draw} data={keep} /> : null}
        <PrintButton />
      </PageHead>
      {limit.text === '' ? null : <Text fw={600}>{limit.text}</Text>}
      {refusal === null ? null : <Text role="alert">{refusal}</Text>}
      {solution && !limit.closed ? (
        <Grid gap="lg">
          <GridCol span={{ base: 12, sm: 7 }}>
            <SceneView scene={solution.scene} wording={wording} label={describeScene(solution, wording)} />
            <Text mt="xs">
              {describeLoads(solution.target)} of body weight. {plumbSentence(solution.target, wording)}
            </Text>
          </GridCol>
          <GridCol span={{ base: 12, sm: 5 }}>
            <PlacementTable solution={solution} wording={wording} />
          </GridCol>
          <GridCol span={12}>
            <Text fw={600}>
              Fetch: {solution.props.map((prop) => describeProp(prop, wording)).join(' · ') || 'nothing'}
            </Text>
            <List type="ordered" spacing={4}>
              {solution.steps.map((s) => (
                <List.Item key={s.code}>{describeStep(s, wording)}</List.Item>
              ))}
            </List>
            {facts.lookFor === '' ? null : <Text mt="sm">Look for: {facts.lookFor}</Text>}
            {facts.exit === '' ? null : <Text>Out: {facts.exit}</Text>}
          </GridCol>
        </Grid>
      ) : null}
      <SafetyLine />
    </Stack>
  )
}
