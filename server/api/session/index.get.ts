import { requireViewer } from '../../access'

export default defineEventHandler(async event => ({ user: await requireViewer(event) }))
