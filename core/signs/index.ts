export * from './find'
export * from './symbols'
