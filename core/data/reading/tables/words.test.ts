import { describe, expect, it } from 'vitest'
import { asRead, writtenTables } from '../../../testing'

const tables = writtenTables(`
# times of day
departure,pier
06:15,A
17:40,B
=> departure | time | 06:15, 17:40
=> pier | place | A, B

# times of day without a word for it
slot,boats
9:15,2
17:40,3
=> slot | time | 09:15, 17:40
=> boats | number | 2, 3

# half days
departs,boats
6:15 am,2
5:40 PM,3
=> departs | time | 06:15, 17:40
=> boats | number | 2, 3

# points part hours and minutes
Abfahrt;Boote
6.15 Uhr;2
17.40 Uhr;3
=> Abfahrt | time | 06:15, 17:40
=> Boote | number | 2, 3

# points under a word for times
Uhrzeit;Boote
06.15;2
17.40;3
=> Uhrzeit | time | 06:15, 17:40
=> Boote | number | 2, 3

# French times
heure,bateaux
6h15,2
17h40,3
=> heure | time | 06:15, 17:40
=> bateaux | number | 2, 3

# seconds as well
time,boats
06:15:30,2
17:40:05,3
=> time | time | 06:15:30, 17:40:05
=> boats | number | 2, 3

# durations by the column’s name
crossing,boats
1:05,2
0:50,3
=> crossing | duration s | 3900, 3000
=> boats | number | 2, 3

# durations as no time of day is so long
shift,boats
7:30,2
26:15,3
=> shift | duration s | 27000, 94500
=> boats | number | 2, 3

# hours and minutes in letters
trip,boats
1 h 05 min,2
50 min,3
=> trip | duration s | 3900, 3000
=> boats | number | 2, 3

# hours with decimals
trip;boats
1,5 h;2
0,75 h;3
=> trip | duration s | 5400, 2700
=> boats | number | 2, 3

# durations of the standard
trip,boats
PT1H5M,2
PT50M,3
=> trip | duration s | 3900, 3000
=> boats | number | 2, 3

# durations in words
wait,boats
2 days,2
36 hours,3
=> wait | duration s | 172800, 129600
=> boats | number | 2, 3

# durations by the unit in the header
delay (min),boats
12,2
7.5,3
=> delay | number min | 12, 7.5
=> boats | number | 2, 3

# yes and no
stop,night boat
Quill,yes
Harrow,no
=> stop | place | Quill, Harrow
=> night boat | yes-no | yes, no

# Y and N
stop,night boat
Quill,Y
Harrow,N
=> stop | place | Quill, Harrow
=> night boat | yes-no | yes, no

# true and false
stop,night boat
Quill,TRUE
Harrow,FALSE
=> stop | place | Quill, Harrow
=> night boat | yes-no | yes, no

# ja and nein
Halt;Nachtboot
Quill;Ja
Harrow;Nein
Saltworks;ja
=> Halt | text | Quill, Harrow, Saltworks
=> Nachtboot | yes-no | yes, no, yes

# oui and non
arrêt;nuit
Quill;oui
Harrow;non
=> arrêt | place | Quill, Harrow
=> nuit | yes-no | yes, no

# sí and no
parada;noche
Quill;sí
Harrow;no
=> parada | place | Quill, Harrow
=> noche | yes-no | yes, no

# sì and no
fermata;notte
Quill;sì
Harrow;no
=> fermata | place | Quill, Harrow
=> notte | yes-no | yes, no

# sim and não
paragem;noite
Quill;sim
Harrow;não
=> paragem | place | Quill, Harrow
=> noite | yes-no | yes, no

# ja and nee
halte;nacht
Quill;ja
Harrow;nee
=> halte | place | Quill, Harrow
=> nacht | yes-no | yes, no

# ja and nej
hållplats;natt
Quill;ja
Harrow;nej
=> hållplats | place | Quill, Harrow
=> natt | yes-no | yes, no

# tak and nie
przystanek;noc
Quill;tak
Harrow;nie
=> przystanek | place | Quill, Harrow
=> noc | yes-no | yes, no

# kyllä and ei
satama;yö
Quill;kyllä
Harrow;ei
=> satama | place | Quill, Harrow
=> yö | yes-no | yes, no

# ano and ne
město;noc
Quill;ano
Harrow;ne
=> město | place | Quill, Harrow
=> noc | yes-no | yes, no

# an answer that is missing
stop,night boat
Quill,yes
Harrow,no
Saltworks,n/a
=> stop | place | Quill, Harrow, Saltworks
=> night boat | yes-no | yes, no, ∅

# noughts and ones are numbers
stop,night boat
Quill,1
Harrow,0
=> stop | place | Quill, Harrow
=> night boat | number | 1, 0

# directions are no answers
wind,boats
N,2
S,3
=> wind | text | N, S
=> boats | number | 2, 3

# codes keep their noughts
code,boats
0041,2
0107,3
=> code | code | 0041, 0107
=> boats | number | 2, 3

# one nought is enough
berth,boats
0041,2
1107,3
=> berth | code | 0041, 1107
=> boats | number | 2, 3

# codes by their name
id,boats
4100,2
4101,3
=> id | code | 4100, 4101
=> boats | number | 2, 3

# German post codes
PLZ;Boote
20457;2
21107;3
=> PLZ | code | 20457, 21107
=> Boote | number | 2, 3

# telephone numbers
desk,phone
Quill,+44 20 7946 0018
Harrow,+44 20 7946 0019
=> desk | text | Quill, Harrow
=> phone | code | +44 20 7946 0018, +44 20 7946 0019

# telephone numbers without a name for them
desk,reach
Quill,020 7946 0018
Harrow,(020) 7946-0019
=> desk | text | Quill, Harrow
=> reach | code | 020 7946 0018, (020) 7946-0019

# codes where their word is the last
stop id,boats
4100,2
4101,3
=> stop id | code | 4100, 4101
=> boats | number | 2, 3

# what is counted by somebody is no place
counted by,boats
Ines,2
Tomas,3
=> counted by | text | Ines, Tomas
=> boats | number | 2, 3

# seconds with decimals are no times of day
lap,time (s)
first,12.45
second,13.10
=> lap | text | first, second
=> time | number s | 12.45, 13.1

# codes of letters and figures
code,boats
A12,2
B7,3
=> code | code | A12, B7
=> boats | number | 2, 3

# groups come again
route,boats
East,2
West,3
East,4
West,5
=> route | category | East, West, East, West
=> boats | number | 2, 3, 4, 5

# places by the column’s name
Stadt;Boote
Harrow;2
Quill;3
=> Stadt | place | Harrow, Quill
=> Boote | number | 2, 3

# marks for nothing among words
stop,note
Quill,dry
Harrow,..
Saltworks,NULL
=> stop | place | Quill, Harrow, Saltworks
=> note | text | dry, ∅, ∅

# a country is no missing mark
country,boats
NA,2
NO,3
SE,4
=> country | place | NA, NO, SE
=> boats | number | 2, 3, 4

# marks for nothing among numbers
stop,boats
Quill,12
Harrow,n/a
Saltworks,-
Lantern,..
Sandgate,NULL
Low Sands,
=> stop | place | Quill, Harrow, Saltworks, Lantern, Sandgate, Low Sands
=> boats | number | 12, ∅, ∅, ∅, ∅, ∅
!! Five cells, “n/a”, “-”, “..” and others, are *missing, not zero*

# marks for nothing in other languages
Halt;Boote
Quill;12
Harrow;k. A.
Saltworks;7
=> Halt | text | Quill, Harrow, Saltworks
=> Boote | number | 12, ∅, 7

# a question mark
stop,boats
Quill,12
Harrow,?
Saltworks,9
=> stop | place | Quill, Harrow, Saltworks
=> boats | number | 12, ∅, 9

# faults of a sheet
stop,boats
Quill,12
Harrow,#DIV/0!
Saltworks,#REF!
=> stop | place | Quill, Harrow, Saltworks
=> boats | number | 12, ∅, ∅

# addresses are words
stop,page
Quill,https://velmoor.example/1
Harrow,https://velmoor.example/2
=> stop | place | Quill, Harrow
=> page | text | https://velmoor.example/1, https://velmoor.example/2

# ranges are words
hours,boats
9-12,2
13-17,3
=> hours | text | 9-12, 13-17
=> boats | number | 2, 3

# versions are words
release,faults
1.2.3,2
1.10.0,3
=> release | text | 1.2.3, 1.10.0
=> faults | number | 2, 3
`)

describe('times, answers, codes and words as people write them', () => {
  it.each(tables)('$title', table => expect(asRead(table)).toEqual(table))
})
