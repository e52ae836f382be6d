export * from './bounds'
export * from './resize'
export * from './snap'
export * from './outlines'
