'use client'

import dynamic from 'next/dynamic'

/** Dragging is fetched only by whoever drags. */
export const ArrangeLazy = dynamic(() => import('./arrange').then((m) => m.Arrange), { ssr: false })
