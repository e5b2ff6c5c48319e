'use client'

import { Grid, GridCol, List, Stack, Text } from '@mantine/core'
import { describeLoads, describeProp, describeScene, describeStep, plumbSentence } from '@/core/words/setup'
import { PageHead } from '@/ui/page-head'
import { PrintButton } from '@/ui/print-button'
import { SafetyLine } from '@/ui/safety-line'
import { SceneView } from '@/ui/scene/scene-view'
import { useWording } from '@/ui/wording'
import type { CardData } from '../queries'
import { PlacementTable } from './bench-numbers'
import { solveForScreen } from './bench-state'

/** One setup for one body on one page: drawing, distances, steps, the way out. */
export function SetupCard({ facts, name, body, options, stock, limit }: CardData) {
  const wording = useWording()
  const { solution, refusal } = solveForScreen(body, facts.id, options, stock, wording)
  return (
    <Stack maw={900}>
      <PageHead title={facts.label} lead={name}>
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
