export * from './content'
export * from './element-table'
export * from './lay'
