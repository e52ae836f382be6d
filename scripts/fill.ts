import { loadDemo } from '../demo/load'
import { closeDatabase } from '../server/database/connection'
import { upgradeDecks } from '../server/live/upgrade'

/** After the migrations: what is kept of decks is brought to this program's format, and where nobody is yet, the demo is loaded. */
await upgradeDecks().then(loadDemo).finally(closeDatabase)
