import type { Sense } from '../../families'

/** Words that somebody may look for a sense by, besides those that its layouts are found by, in ten languages; small letters. */
export const purposes: Readonly<Record<Sense, string>> = {
  opening:
    'titel titelfolie beginn titre ouverture título portada apertura titolo capa abertura titelblad begin titelsida början ' +
    'titelside strona tytułowa',
  chapter: 'kapitel abschnitt chapitre partie capítulo sección capitolo sezione hoofdstuk deel avsnitt afsnit rozdział część',
  statement:
    'aussage kernsatz these phrase affirmation frase afirmación affermazione mensagem uitspraak stelling påstående budskap ' +
    'stwierdzenie',
  list: 'liste aufzählung énumération lista elenco lijst opsomming punkter wykaz',
  points:
    'punkte stichpunkte argumente vorteile points arguments avantages puntos argumentos ventajas punti argomenti vantaggi ' +
    'pontos punten argumenten argument fordele punkty argumenty',
  events:
    'zeitstrahl geschichte verlauf meilensteine frise histoire dates cronología historia hitos cronologia storia tijdlijn ' +
    'geschiedenis tidslinje historie oś czasu',
  steps:
    'schritte ablauf anleitung étapes processus procédure pasos proceso passi procedura passos stappen proces steg trin ' + 'skritt kroki',
  cycle: 'kreislauf zyklus cycle boucle ciclo kringloop kretslopp kredsløb cykl obieg',
  shares:
    'anteile prozent aufteilung parts pourcentage répartition partes porcentaje reparto quote percentuale ripartizione ' +
    'percentagem aandelen verdeling andelar fördelning andele udziały',
  hierarchy:
    'organigramm struktur aufbau organigramme hiérarchie organigrama estructura jerarquía organigramma struttura gerarchia ' +
    'organogram structuur hierarki struktura',
  comparison:
    'vergleich gegenüberstellung unterschied comparaison différence comparación diferencia confronto differenza comparação ' +
    'vergelijking verschil jämförelse sammenligning porównanie',
  number:
    'zahl zahlen kennzahlen statistik chiffres nombre statistiques números cifras estadísticas numeri cifre statistiche ' +
    'estatísticas cijfers getallen siffror tal liczby statistics',
  saying: 'zitat spruch citation paroles cita citazione citação citaat citat sitat cytat testimonial',
  people:
    'team menschen mannschaft personen équipe personnes equipo personas squadra persone equipa pessoas mensen ploeg folk ' +
    'medarbetare hold zespół ludzie staff',
  questions:
    'fragen antworten réponses preguntas respuestas domande risposte perguntas respostas vragen antwoorden frågor svar ' +
    'spørgsmål pytania odpowiedzi faq',
  places:
    'orte karte standorte lieux carte adresses lugares mapa direcciones luoghi mappa indirizzi locais plaatsen kaart ' +
    'platser karta steder miejsca',
  next:
    'nächste schritte kontakt schluss ausblick suite contact prochaines étapes contacto próximos pasos contatti prossimi ' +
    'passi fim volgende stappen nästa steg næste skridt kolejne kroki closing',
  agenda:
    'tagesordnung inhalt übersicht sommaire ordre jour programme índice orden programa indice programma conteúdo inhoud ' +
    'dagordning dagsorden plan',
  figures: 'diagramm grafik tabelle graphique courbe gráfico gráfica grafico grafiek diagram wykres statistics chart',
  pictures: 'bild bilder foto galerie image images photo imagen fotos immagine imagem afbeelding beeld billede bilde zdjęcie obraz',
  ranking: 'rangliste rangfolge bestenliste classement palmarès clasificación classifica classificação ranglijst rangordning ' + 'ranking',
  position: 'matrix quadranten achsen matrice quadrants axes matriz cuadrantes ejes quadranti assi kwadranten assen kvadranter macierz',
  funnel: 'trichter stufen entonnoir niveaux embudo niveles imbuto livelli funil trechter tratt tragt lejek',
  cause:
    'ursache wirkung grund folge cause effet conséquence causa efecto consecuencia effetto conseguenza oorzaak gevolg orsak ' +
    'följd årsag virkning przyczyna skutek',
  growth:
    'wachstum entwicklung anstieg rückgang croissance évolution baisse crecimiento evolución crescita andamento crescimento ' +
    'groei ontwikkeling tillväxt utveckling vækst vekst wzrost rozwój',
  hours:
    'öffnungszeiten sprechzeiten heures horaires ouverture horario orario orari openingstijden öppettider åbningstider ' +
    'åpningstider godziny otwarcia',
  standout:
    'ausreißer ausnahme gegen den rest exception contre le reste excepción frente al resto eccezione contro il resto exceção contra ' +
    'uitzondering tegen de rest undantag mot resten undtagelse unntak wyjątek reszta outlier',
}
