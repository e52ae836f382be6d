import { describe, expect, it } from 'vitest'
import { asRead, writtenTables } from '../../../testing'

const tables = writtenTables(`
# a total row that agrees
stop,riders
Quill,12
Harrow,7
Total,19
=> stop | place | Quill, Harrow
=> riders | number | 12, 7
!! “Total” in row 4 *agrees with the sum* and is never drawn

# a total row that does not agree
stop,riders
Quill,12
Harrow,7
Total,20
=> stop | place | Quill, Harrow
=> riders | number | 12, 7
!! “Total” in row 4 *does not agree*: it says 20 for “riders”, the rows come to 19

# Gesamt
Halt;Fahrgäste
Quill;12
Harrow;7
Gesamt;19
=> Halt | text | Quill, Harrow
=> Fahrgäste | number | 12, 7

# Insgesamt and decimals
Halt;Umsatz
Quill;12,25
Harrow;7,5
Insgesamt;19,75
=> Halt | text | Quill, Harrow
=> Umsatz | number | 12.25, 7.5
!! *agrees with the sum*

# Total général
arrêt;passagers
Quill;12
Harrow;7
Total général;19
=> arrêt | place | Quill, Harrow
=> passagers | number | 12, 7

# Totale, Totaal, Totalt, Razem, Yhteensä, Celkem
stop,riders
Quill,12
Harrow,7
Razem,19
=> stop | place | Quill, Harrow
=> riders | number | 12, 7

# Yhteensä
satama;matkustajat
Quill;12
Harrow;7
Yhteensä;19
=> satama | place | Quill, Harrow
=> matkustajat | number | 12, 7

# I alt
havn;rejsende
Quill;12
Harrow;7
I alt;19
=> havn | place | Quill, Harrow
=> rejsende | number | 12, 7

# who is called Total is no total
company,boats
Quill Lines,12
Total Marine,7
Harrow Ferries,5
=> company | text | Quill Lines, Total Marine, Harrow Ferries
=> boats | number | 12, 7, 5

# a total with words beside it
stop,riders
Quill,12
Harrow,7
Total spring 2031,19
=> stop | place | Quill, Harrow
=> riders | number | 12, 7
!! “Total spring 2031” in row 4 *agrees with the sum*

# a total that is off by some cents
item;takings
Fares;340,25
Bicycles;340,29
Total;680,50
=> item | text | Fares, Bicycles
=> takings | number | 340.25, 340.29
!! “Total” in row 4 *does not agree*: it says 680.5 for “takings”, the rows come to 680.54

# a cell that cannot be read, below a subtotal
stop,riders
Quill,12
Harrow,7
Subtotal,19
Sandgate,5
Low Sands,closed
Saltworks,4
Bellhouse,3
=> stop | place | Quill, Harrow, Sandgate, Low Sands, Saltworks, Bellhouse
=> riders | number | 12, 7, 5, ∅, 4, 3
!! “closed” in “riders” (row 6)

# subtotals and a grand total
stop,riders
Quill,12
Harrow,7
Subtotal,19
Sandgate,5
Low Sands,6
Subtotal,11
Grand total,30
=> stop | place | Quill, Harrow, Sandgate, Low Sands
=> riders | number | 12, 7, 5, 6
!! Three rows of totals *agree with their sums*

# a total above its rows
stop,riders
All stops,19
Quill,12
Harrow,7
=> stop | place | All stops, Quill, Harrow
=> riders | number | 19, 12, 7

# a total above, by its word
stop,riders
Total,19
Quill,12
Harrow,7
=> stop | place | Quill, Harrow
=> riders | number | 12, 7
!! “Total” in row 2 *agrees with the sum*

# a last row without a label that adds up all
stop,east,west
Quill,12,9
Harrow,7,8
Saltworks,5,6
,24,23
=> stop | place | Quill, Harrow, Saltworks
=> east | number | 12, 7, 5
=> west | number | 9, 8, 6
!! Row 5, without a name, *agrees with the sum*

# a last row without a label that adds up nothing
stop,east,west
Quill,12,9
Harrow,7,8
Saltworks,5,6
,3,4
=> stop | place | Quill, Harrow, Saltworks, ∅
=> east | number | 12, 7, 5, 3
=> west | number | 9, 8, 6, 4

# a total of shares is no sum
stop,share,riders
Quill,60 %,12
Harrow,40 %,8
Total,100 %,20
=> stop | place | Quill, Harrow
=> share | percent % | 0.6, 0.4
=> riders | number | 12, 8
!! *agrees with the sum*

# a total column
stop,east,west,Total
Quill,12,9,21
Harrow,7,8,15
=> stop | place | Quill, Harrow
=> east | number | 12, 7
=> west | number | 9, 8
!! “Total” *adds up the columns beside it* and is never drawn

# a column that is called so and adds up nothing
stop,total
Quill,12
Harrow,7
=> stop | place | Quill, Harrow
=> total | number | 12, 7

# totals both ways
stop,east,west,Sum
Quill,12,9,21
Harrow,7,8,15
Sum,19,17,36
=> stop | place | Quill, Harrow
=> east | number | 12, 7
=> west | number | 9, 8
!! “Sum” in row 4 *agrees with the sum*
!! “Sum” *adds up the columns beside it*

# totals of missing cells
stop,riders
Quill,12
Harrow,..
Saltworks,7
Total,19
=> stop | place | Quill, Harrow, Saltworks
=> riders | number | 12, ∅, 7
!! *agrees with the sum*

# a total rounded otherwise than its rows
stop;takings
Quill;12,34
Harrow;7,33
Total;19,7
=> stop | place | Quill, Harrow
=> takings | number | 12.34, 7.33
!! *agrees with the sum*

# a title, a total and a source
Takings by stop
stop,takings
Quill,"€1,240"
Harrow,€560
Total,"€1,800"
Source: quay desk
=> stop | place | Quill, Harrow
=> takings | money € | 1240, 560
!! *agrees with the sum*

# years across
stop,2029,2030,2031
Quill,12,13,14
Harrow,7,8,9
=> stop | place | Quill, Quill, Quill, Harrow, Harrow, Harrow
=> year | date year | 2029, 2030, 2031, 2029, 2030, 2031
=> amount | number | 12, 13, 14, 7, 8, 9
!! Three columns were *gathered into rows*: “year” and “amount”

# years across, with a total row and a total column
stop,2029,2030,2031,Total
Quill,12,13,14,39
Harrow,7,8,9,24
Total,19,21,23,63
=> stop | place | Quill, Quill, Quill, Harrow, Harrow, Harrow
=> year | date year | 2029, 2030, 2031, 2029, 2030, 2031
=> amount | number | 12, 13, 14, 7, 8, 9

# years across behind two columns of words
stop,shore,2029,2030,2031
Quill,east,12,13,14
Harrow,west,7,8,9
=> stop | place | Quill, Quill, Quill, Harrow, Harrow, Harrow
=> shore | text | east, east, east, west, west, west
=> year | date year | 2029, 2030, 2031, 2029, 2030, 2031
=> amount | number | 12, 13, 14, 7, 8, 9

# what is measured beside the years
stop,riders 2029,riders 2030,riders 2031
Quill,12,13,14
Harrow,7,8,9
=> stop | place | Quill, Quill, Quill, Harrow, Harrow, Harrow
=> year | date year | 2029, 2030, 2031, 2029, 2030, 2031
=> riders | number | 12, 13, 14, 7, 8, 9

# two measures over the same years
stop,riders 2029,riders 2030,riders 2031,boats 2029,boats 2030,boats 2031
Quill,12,13,14,1,2,3
Harrow,7,8,9,4,5,6
=> stop | place | Quill, Quill, Quill, Harrow, Harrow, Harrow
=> year | date year | 2029, 2030, 2031, 2029, 2030, 2031
=> riders | number | 12, 13, 14, 7, 8, 9
=> boats | number | 1, 2, 3, 4, 5, 6

# quarters across
stop,Q1 2031,Q2 2031,Q3 2031
Quill,12,13,14
Harrow,7,8,9
=> stop | place | Quill, Quill, Quill, Harrow, Harrow, Harrow
=> quarter | date quarter | 2031-Q1, 2031-Q2, 2031-Q3, 2031-Q1, 2031-Q2, 2031-Q3
=> amount | number | 12, 13, 14, 7, 8, 9

# years across, with a missing cell
stop,2029,2030,2031
Quill,12,..,14
Harrow,7,8,9
=> stop | place | Quill, Quill, Quill, Harrow, Harrow, Harrow
=> year | date year | 2029, 2030, 2031, 2029, 2030, 2031
=> amount | number | 12, ∅, 14, 7, 8, 9

# years across in money
stop,2029,2030,2031
Quill,€12,€13,€14
Harrow,€7,€8,€9
=> stop | place | Quill, Quill, Quill, Harrow, Harrow, Harrow
=> year | date year | 2029, 2030, 2031, 2029, 2030, 2031
=> amount | money € | 12, 13, 14, 7, 8, 9

# months across without a year stay
stop,Jan,Feb,Mar
Quill,12,13,14
Harrow,7,8,9
=> stop | place | Quill, Harrow
=> Jan | number | 12, 7
=> Feb | number | 13, 8
=> Mar | number | 14, 9

# two years are no run
stop,2030,2031
Quill,12,13
Harrow,7,8
=> stop | place | Quill, Harrow
=> 2030 | number | 12, 7
=> 2031 | number | 13, 8

# years over quarters
stop,2030,,2031,
,Q1,Q2,Q1,Q2
Quill,12,13,14,15
Harrow,7,8,9,10
=> stop | place | Quill, Quill, Quill, Quill, Harrow, Harrow, Harrow, Harrow
=> quarter | date quarter | 2030-Q1, 2030-Q2, 2031-Q1, 2031-Q2, 2030-Q1, 2030-Q2, 2031-Q1, 2031-Q2
=> amount | number | 12, 13, 14, 15, 7, 8, 9, 10
`)

describe('totals, and times that stand across', () => {
  it.each(tables)('$title', table => expect(asRead(table)).toEqual(table))
})
