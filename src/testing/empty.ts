// Stands in for 'server-only' under Jest.
export {}
