export * from './drawn'
export * from './find'
