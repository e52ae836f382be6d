import { wordsOf } from './patterns'
import type { SenseReader } from './sense'

const table = /\.(?:csv|tsv|xlsx?)\b/
const counted = [
  'month|year|season|week|day|route|hour|country|age|region|station|monat|jahr|woche|tag|strecke|stunde|land|alter|mois|an|année',
  'semaine|jour|ligne|heure|pays|mes|año|temporada|día|país|mese|anno|giorno|mês|ano|dia|maand|jaar|dag|månad|år|måned|miesiąc|rok',
].join('|')
const column = wordsOf(`(?:by|per|an?|nach|pro|je|par|por|al|pr\\.?|i) (?:${counted})`)
const charts = wordsOf(
  'chart|graph|diagram|trend|growth|figures|statistics|diagramm|entwicklung|verlauf|statistik|wachstum|graphique|évolution|courbe',
  'statistiques|croissance|gráfico|evolución|estadísticas|crecimiento|grafico|andamento|crescita|evolução|crescimento|grafiek',
  'groei|utveckling|wykres|wzrost',
)
const sourced = wordsOf('source|quelle|fuente|fonte|bron|källa|kilde|źródło')

export const figures: SenseReader = {
  sense: 'figures',
  read: ({ all, title, count, comparable }) => {
    if (table.test(all)) return { score: 0.98, reason: 'A table is named. That reads as a chart of it.' }
    if (column.test(all) && count <= 2) return { score: 0.9, reason: 'Something is counted by something. That reads as a chart.' }
    if (charts.test(title) && (count === 0 || (count <= 2 && sourced.test(all))))
      return { score: 0.8, reason: 'The title speaks of figures, and no line says anything else. A chart could show them.' }
    return comparable && count >= 3
      ? { score: 0.5, reason: 'Every line has a number in one unit. They could be compared in a chart.' }
      : null
  },
}
