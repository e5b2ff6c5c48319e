'use client'

import { Button, Group, Text } from '@mantine/core'
import { useState } from 'react'
import { saveBlob, saveFile } from './save-file'
import { pngOf } from './svg-png'

/** Pixels of the picture for one of the sheet: sharp when it is sent on and printed. */
const SHARPNESS = 2

/** Ways to keep a sheet as a file: a picture, a drawing, and its data where there is some. */
export function SheetFiles({
  name,
  drawing,
  data,
}: {
  /** Without an ending. */
  name: string
  /** The sheet as SVG; null where it could not be had, which whoever asks says. */
  drawing: () => Promise<string | null>
  data?: () => void
}) {
  const [busy, setBusy] = useState(false)
  const [failed, setFailed] = useState(false)
  const keep = async (as: 'png' | 'svg'): Promise<void> => {
    setBusy(true)
    setFailed(false)
    const text = await drawing()
    if (text !== null && as === 'svg') saveFile(`${name}.svg`, 'image/svg+xml', text)
    if (text !== null && as === 'png') {
      const blob = await pngOf({ text, ...sizeOf(text) }, SHARPNESS)
      if (blob) saveBlob(`${name}.png`, blob)
      setFailed(blob === null)
    }
    setBusy(false)
  }
  return (
    <details className="no-print">
      <summary>As a file</summary>
      <Group gap="xs" mt={4}>
        <Button size="xs" disabled={busy} onClick={() => void keep('png')}>
          Picture (PNG)
        </Button>
        <Button size="xs" disabled={busy} onClick={() => void keep('svg')}>
          Drawing (SVG)
        </Button>
        {data ? (
          <Button size="xs" onClick={data}>
            Data (JSON)
          </Button>
        ) : null}
      </Group>
      {failed ? (
        <Text role="alert">This browser cannot make a picture of the sheet. Its drawing can be kept.</Text>
      ) : null}
    </details>
  )
}

/** As the drawing says of itself, px. */
function sizeOf(text: string): { width: number; height: number } {
  const [, width, height] = /width="(\d+)" height="(\d+)"/.exec(text) ?? []
  return { width: Number(width ?? 1), height: Number(height ?? 1) }
}
