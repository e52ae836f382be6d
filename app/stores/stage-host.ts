import { houseTheme } from '#core/layouts'
import { browserMeasurer, loadFonts, type StageHost } from '#stage'

/** What every stage in the application draws with: fonts measured once they are here, tables and media of this server. */
export const useStageHost = defineStore('stage-host', () => {
  const tables = useTables()
  const measurer = shallowRef(browserMeasurer())
  const ready = loadFonts(Object.values(houseTheme.fonts)).then(() => {
    measurer.value = browserMeasurer()
  })
  const host = computed<StageHost>(() => ({
    measurer: measurer.value,
    table: id => tables.table(id),
    mediaLength: () => undefined,
    mediaUrl: hash => `/api/media/${hash}`,
  }))
  return { host, ready }
})
