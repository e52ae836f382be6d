import { describe, expect, it } from 'vitest'
import { asRead, writtenTables } from '../../../testing'

const tables = writtenTables(`
# days of the standard
day,riders
2031-04-03,12
2031-04-04,9
=> day | date day | 2031-04-03, 2031-04-04
=> riders | number | 12, 9

# points part day, month and year
Tag;Fahrgäste
03.04.2031;12
04.04.2031;9
=> Tag | date day | 2031-04-03, 2031-04-04
=> Fahrgäste | number | 12, 9

# a day above 12 tells
day,riders
03/04/2031,12
25/04/2031,9
=> day | date day | 2031-04-03, 2031-04-25
=> riders | number | 12, 9

# a month first, as a day above 12 tells
day,riders
04/03/2031,12
04/25/2031,9
=> day | date day | 2031-04-03, 2031-04-25
=> riders | number | 12, 9

# nothing tells day from month
day,riders
03/04/2031,12
05/04/2031,9
=> day | date open | 03/04/2031, 05/04/2031
=> riders | number | 12, 9

# another column tells
booked,sails
03/04/2031,28/04/2031
05/04/2031,29/04/2031
=> booked | date day | 2031-04-03, 2031-04-05
=> sails | date day | 2031-04-28, 2031-04-29

# it makes no difference
day,riders
03/03/2031,12
04/04/2031,9
=> day | date day | 2031-03-03, 2031-04-04
=> riders | number | 12, 9

# two figures of the year
day,riders
03.04.31,12
04.04.31,9
=> day | date day | 2031-04-03, 2031-04-04
=> riders | number | 12, 9

# two figures of a year before
day,riders
25.04.98,12
26.04.98,9
=> day | date day | 1998-04-25, 1998-04-26
=> riders | number | 12, 9

# dashes
day,riders
25-04-2031,12
03-05-2031,9
=> day | date day | 2031-04-25, 2031-05-03
=> riders | number | 12, 9

# the year first, with strokes
day,riders
2031/04/03,12
2031/04/25,9
=> day | date day | 2031-04-03, 2031-04-25
=> riders | number | 12, 9

# months in words
day,riders
3 April 2031,12
25 Apr 2031,9
=> day | date day | 2031-04-03, 2031-04-25
=> riders | number | 12, 9

# months in words first
day,riders
"April 3, 2031",12
"Apr 25, 2031",9
=> day | date day | 2031-04-03, 2031-04-25
=> riders | number | 12, 9

# ordinals
day,riders
3rd April 2031,12
21st April 2031,9
=> day | date day | 2031-04-03, 2031-04-21
=> riders | number | 12, 9

# dashes and short months
day,riders
03-Apr-31,12
25-Apr-31,9
=> day | date day | 2031-04-03, 2031-04-25
=> riders | number | 12, 9

# weekdays before
day,riders
Thu 3 April 2031,12
Fri 4 April 2031,9
=> day | date day | 2031-04-03, 2031-04-04
=> riders | number | 12, 9

# German words
Tag;Fahrgäste
3. April 2031;12
5. März 2031;9
=> Tag | date day | 2031-04-03, 2031-03-05
=> Fahrgäste | number | 12, 9

# French words
jour;passagers
3 avril 2031;12
1er août 2031;9
=> jour | date day | 2031-04-03, 2031-08-01
=> passagers | number | 12, 9

# Spanish words
fecha;pasajeros
3 de abril de 2031;12
25 de enero de 2031;9
=> fecha | date day | 2031-04-03, 2031-01-25
=> pasajeros | number | 12, 9

# Italian words
giorno;passeggeri
3 aprile 2031;12
25 gennaio 2031;9
=> giorno | date day | 2031-04-03, 2031-01-25
=> passeggeri | number | 12, 9

# Portuguese words
dia;passageiros
3 de abril de 2031;12
25 de fevereiro de 2031;9
=> dia | date day | 2031-04-03, 2031-02-25
=> passageiros | number | 12, 9

# Dutch words
dag;reizigers
3 april 2031;12
25 maart 2031;9
=> dag | date day | 2031-04-03, 2031-03-25
=> reizigers | number | 12, 9

# Swedish words
dag;resande
3 april 2031;12
25 oktober 2031;9
=> dag | date day | 2031-04-03, 2031-10-25
=> resande | number | 12, 9

# Danish words
dato;rejsende
3. april 2031;12
25. maj 2031;9
=> dato | date day | 2031-04-03, 2031-05-25
=> rejsende | number | 12, 9

# Polish words
dzień;pasażerowie
3 kwietnia 2031;12
25 stycznia 2031;9
=> dzień | date day | 2031-04-03, 2031-01-25
=> pasażerowie | number | 12, 9

# Finnish words
päivä;matkustajat
3. huhtikuuta 2031;12
25. tammikuuta 2031;9
=> päivä | date day | 2031-04-03, 2031-01-25
=> matkustajat | number | 12, 9

# Czech words
den;cestující
3. dubna 2031;12
25. ledna 2031;9
=> den | date day | 2031-04-03, 2031-01-25
=> cestující | number | 12, 9

# four ways of writing days
day,riders
2031-04-03,12
25.04.2031,9
26 April 2031,7
27/04/2031,11
=> day | date day | 2031-04-03, 2031-04-25, 2031-04-26, 2031-04-27
=> riders | number | 12, 9, 7, 11

# days with their time
moment,riders
2031-04-03 11:52,12
2031-04-03T14:00,9
=> moment | date minute | 2031-04-03T11:52, 2031-04-03T14:00
=> riders | number | 12, 9

# days with half days
moment,riders
4/25/2031 1:05 PM,12
4/25/2031 9:30 AM,9
=> moment | date minute | 2031-04-25T13:05, 2031-04-25T09:30
=> riders | number | 12, 9

# days, of which some have a time
moment,riders
25.04.2031,12
26.04.2031 09:30,9
=> moment | date minute | 2031-04-25T00:00, 2031-04-26T09:30
=> riders | number | 12, 9

# a day that does not exist
day,riders
2031-02-28,1
2031-02-29,2
2031-03-01,3
2031-03-02,4
2031-03-03,5
=> day | date day | 2031-02-28, ∅, 2031-03-01, 2031-03-02, 2031-03-03
=> riders | number | 1, 2, 3, 4, 5
!! “2031-02-29” in “day” (row 3) *cannot be read so*

# years
year,riders
2023,4100
2024,4350
2025,4720
=> year | date year | 2023, 2024, 2025
=> riders | number | 4100, 4350, 4720

# years under another language’s word
Jahr;Fahrgäste
2023;4100
2024;4350
=> Jahr | date year | 2023, 2024
=> Fahrgäste | number | 4100, 4350

# years that no word names, one after the other
,riders
2023,4100
2024,4350
2025,4720
=> Column 1 | date year | 2023, 2024, 2025
=> riders | number | 4100, 4350, 4720

# amounts that could be years are amounts
route,riders
Astrel,2023
Quill,1950
Harrow,2140
=> route | text | Astrel, Quill, Harrow
=> riders | number | 2023, 1950, 2140

# years over and over
route,year,riders
Astrel,2029,12
Astrel,2030,14
Quill,2029,9
Quill,2030,8
=> route | category | Astrel, Astrel, Quill, Quill
=> year | date year | 2029, 2030, 2029, 2030
=> riders | number | 12, 14, 9, 8

# financial years
year,riders
FY2029,12
FY2030,14
=> year | date year | 2029, 2030
=> riders | number | 12, 14

# seasons of two years
season,riders
2029/30,12
2030/31,14
=> season | date season | 2029/30, 2030/31
=> riders | number | 12, 14

# seasons with a dash
season,riders
2009-10,12
2010-11,14
=> season | date season | 2009/10, 2010/11
=> riders | number | 12, 14

# months with a dash are no seasons
month,riders
2010-10,12
2010-11,14
2010-12,9
=> month | date month | 2010-10, 2010-11, 2010-12
=> riders | number | 12, 14, 9

# quarters
quarter,riders
Q1 2031,12
Q2 2031,14
=> quarter | date quarter | 2031-Q1, 2031-Q2
=> riders | number | 12, 14

# quarters, the year first
quarter,riders
2031 Q1,12
2031-Q2,14
=> quarter | date quarter | 2031-Q1, 2031-Q2
=> riders | number | 12, 14

# quarters in short
quarter,riders
1Q31,12
2Q31,14
=> quarter | date quarter | 2031-Q1, 2031-Q2
=> riders | number | 12, 14

# German quarters
Quartal;Fahrgäste
1. Quartal 2031;12
2. Quartal 2031;14
=> Quartal | date quarter | 2031-Q1, 2031-Q2
=> Fahrgäste | number | 12, 14

# French quarters
trimestre;passagers
T1 2031;12
T2 2031;14
=> trimestre | date quarter | 2031-Q1, 2031-Q2
=> passagers | number | 12, 14

# Swedish quarters
kvartal;resande
2031K1;12
2031K2;14
=> kvartal | date quarter | 2031-Q1, 2031-Q2
=> resande | number | 12, 14

# Polish quarters in Roman figures
kwartał;pasażerowie
I kw. 2031;12
II kw. 2031;14
=> kwartał | date quarter | 2031-Q1, 2031-Q2
=> pasażerowie | number | 12, 14

# quarters of any year
quarter,riders
Q1,12
Q2,14
Q3,9
=> quarter | date quarter-of-year | --Q1, --Q2, --Q3
=> riders | number | 12, 14, 9

# months of a year
month,riders
2031-04,12
2031-05,14
=> month | date month | 2031-04, 2031-05
=> riders | number | 12, 14

# months with strokes
month,riders
04/2031,12
05/2031,14
=> month | date month | 2031-04, 2031-05
=> riders | number | 12, 14

# months in words with their year
month,riders
April 2031,12
May 2031,14
=> month | date month | 2031-04, 2031-05
=> riders | number | 12, 14

# months as sheets write them
month,riders
Apr-31,12
May-31,14
=> month | date month | 2031-04, 2031-05
=> riders | number | 12, 14

# months with an apostrophe
month,riders
Apr '31,12
May '31,14
=> month | date month | 2031-04, 2031-05
=> riders | number | 12, 14

# months of any year
month,riders
January,12
February,14
March,9
=> month | date month-of-year | --01, --02, --03
=> riders | number | 12, 14, 9

# German months
Monat;Fahrgäste
Jänner;12
Februar;14
März;9
=> Monat | text | Jänner, Februar, März
=> Fahrgäste | number | 12, 14, 9

# months in short, with points
month;riders
Jan.;12
Feb.;14
Sept.;9
=> month | date month-of-year | --01, --02, --09
=> riders | number | 12, 14, 9

# statistics offices write months so
month,riders
2031M04,12
2031M05,14
=> month | date month | 2031-04, 2031-05
=> riders | number | 12, 14

# weeks of the standard
week,riders
2031-W14,12
2031-W15,14
=> week | date week | 2031-W14, 2031-W15
=> riders | number | 12, 14

# German weeks
Woche;Fahrgäste
KW 14/2031;12
KW 15/2031;14
=> Woche | date week | 2031-W14, 2031-W15
=> Fahrgäste | number | 12, 14

# weeks of any year
Woche;Fahrgäste
KW 9;12
KW 10;14
=> Woche | date week-of-year | --W09, --W10
=> Fahrgäste | number | 12, 14

# codes that look like weeks are none
shed,boats
S1,12
S2,14
V3,9
=> shed | text | S1, S2, V3
=> boats | number | 12, 14, 9

# missing days
day,riders
2031-04-03,12
..,9
2031-04-05,7
=> day | date day | 2031-04-03, ∅, 2031-04-05
=> riders | number | 12, 9, 7
`)

describe('days and other times as people write them', () => {
  it.each(tables)('$title', table => expect(asRead(table)).toEqual(table))
})
