import { loadDemo } from '../demo/load'
import { endThreads } from '../server/apart'
import { closeDatabase } from '../server/database/connection'
import { upgradeDecks } from '../server/live/upgrade'
import { endSteps } from '../server/steps'

/** After the migrations: what is kept of decks is brought to this program's format, and where nobody is yet, the demo is loaded. */
await upgradeDecks()
  .then(loadDemo)
  .finally(() => Promise.all([endThreads(), endSteps(), closeDatabase()]))
