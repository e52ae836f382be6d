import type { SenseReader } from './sense'

const table = /\.(?:csv|tsv|xlsx?)\b/
const column =
  /\b(?:by|per|nach|pro|je|par) (?:month|year|season|week|day|route|hour|country|age|monat|jahr|woche|tag|strecke|stunde|land|alter|mois|an|année|semaine|jour|ligne|heure|pays)\b/
const charts =
  /\b(?:chart|graph|diagram|trend|development|growth|figures|statistics|diagramm|entwicklung|verlauf|statistik|wachstum|graphique|évolution|courbe|statistiques|croissance)\b/

export const figures: SenseReader = {
  sense: 'figures',
  read: ({ all, title, count, figured }) => {
    if (table.test(all)) return { score: 0.98, reason: 'A table is named. That reads as a chart of it.' }
    if (column.test(all)) return { score: count <= 2 ? 0.9 : 0.6, reason: 'Something is counted by something. That reads as a chart.' }
    if (charts.test(title) && count <= 3) return { score: 0.8, reason: 'The title speaks of figures. A chart could show them.' }
    return count >= 3 && figured >= 0.9 ? { score: 0.5, reason: 'Every line has a number. They could be compared as bars.' } : null
  },
}
