'use server'

import { z } from 'zod'
import { removeGroup, saveGroup } from '@/db/groups'
import { findStudent } from '@/db/students'
import { action } from '../action'
import { done } from '../answer'
import { idField, timeField } from '../fields'

export const keepGroup = action(
  z.object({
    id: idField,
    name: z.string().trim().min(1, 'Give the group a name.').max(80, 'At most 80 characters.'),
    weekday: z.number().int().min(1).max(7),
    startTime: timeField,
    minutes: z
      .number({ error: 'How many minutes?' })
      .int()
      .min(20, 'At least 20 minutes.')
      .max(120, 'At most 120.'),
    members: z.array(idField).max(60),
  }),
  ({ scope }, group) => {
    saveGroup(scope, {
      ...group,
      members: [...new Set(group.members)].filter((id) => findStudent(scope, id) !== null),
    })
    return done(true)
  },
)

export const dropGroup = action(z.object({ id: z.string() }), ({ scope }, { id }) => {
  removeGroup(scope, id)
  return done(true)
})
