'use client'

import dynamic from 'next/dynamic'

/** The form, drawn in the browser alone: it begins with what was half written there. */
export const IncidentForm = dynamic(() => import('./incident-form').then((m) => m.IncidentForm), {
  ssr: false,
})
