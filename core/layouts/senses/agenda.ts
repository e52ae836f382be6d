import { opensWith } from './patterns'
import type { SenseReader } from './sense'

const contents = opensWith(
  'agenda|contents|table of contents|overview|programme|program|what we (?:will )?(?:cover|talk about|look at)',
  'what (?:to expect|comes)|today|our (?:agenda|programme|topics)|topics|in this talk|inhalt|inhaltsverzeichnis|übersicht',
  'programm|tagesordnung|themen|heute|ablauf|was sie erwartet|worum es (?:heute )?geht|sommaire|ordre du jour|au programme|plan',
  'contenu|aperçu|aujourd.hui|ce que nous verrons|orden del día|programa|índice|temario|contenido|ordine del giorno|programma',
  'indice|sommario|ordem do dia|conteúdo|inhoud|wat we bespreken|dagorde|dagordning|innehåll|dagsorden|indhold|innhold',
  'porządek obrad|spis treści',
)

export const agenda: SenseReader = {
  sense: 'agenda',
  read: ({ title, count, clocked }) => {
    if (!contents.test(title)) return null
    if (count === 0) return { score: 0.96, reason: 'Its title announces what comes. An agenda can be made from the slides.' }
    return { score: clocked > 0.5 ? 0.95 : 0.93, reason: 'Its title announces what comes. That is an agenda.' }
  },
}
