import type { Heard } from '@/core/facts/heard'
import { isDone } from '@/core/teaching/outcome'
import { isWork } from '@/core/classes/plan'
import type { RoomBoard } from './board-queries'
import type { TeachData } from './queries'

/** The floor's page with what another device recorded; the same object where it changes nothing, null where it is asked anew. */
export function hearOnFloor(shown: TeachData, heard: Heard): TeachData | null {
  switch (heard.kind) {
    case 'attempt':
      return { ...shown, recorded: put(shown.recorded, heard, heard.replaces) }
    case 'drill':
      return { ...shown, drilled: put(shown.drilled, heard, heard.replaces) }
    case 'class-event':
      // Who has come late is known from when the class began: their warm-up is worked out by the server.
      return heard.event === 'started' ? null : { ...shown, events: put(shown.events, heard, null) }
    case 'taken-back': {
      const [recorded, drilled] = [
        without(shown.recorded, heard.target),
        without(shown.drilled, heard.target),
      ]
      return recorded === shown.recorded && drilled === shown.drilled
        ? shown
        : { ...shown, recorded, drilled }
    }
    case 'other':
      return null
  }
}

/** The room's display with what a device recorded, by the same rule. */
export function hearOnBoard(shown: RoomBoard, heard: Heard): RoomBoard | null {
  switch (heard.kind) {
    case 'attempt': {
      if (!isDone([heard])) return shown
      const blocks = shown.plan.blocks.map((block) =>
        isWork(block)
          ? { ...block, people: block.people.filter((d) => d.studentId !== heard.studentId) }
          : block,
      )
      return { ...shown, plan: { ...shown.plan, blocks } }
    }
    case 'drill':
      return shown
    case 'class-event':
      return { ...shown, events: put(shown.events, heard, null) }
    case 'taken-back':
    case 'other':
      return null
  }
}

type Known = { readonly id: string }

function put<T extends Known>(list: T[], one: T, replaces: string | null): T[] {
  return [...list.filter(({ id }) => id !== one.id && id !== replaces), one]
}

function without<T extends Known>(list: T[], target: string): T[] {
  return list.some(({ id }) => id === target) ? list.filter(({ id }) => id !== target) : list
}
