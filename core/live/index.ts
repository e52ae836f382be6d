export * from './document'
export * from './mirror'
export * from './protocol'
