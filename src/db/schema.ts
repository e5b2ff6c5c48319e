/** Every table of the store. */
export * from './schema/studio'
export * from './schema/people'
export * from './schema/classes'
export * from './schema/facts'
export * from './schema/home'
export * from './schema/access'
export * from './schema/series'
export * from './schema/sequences'
