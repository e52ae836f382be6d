import { describe, expect, it } from 'vitest'
import { asRead, writtenTables } from '../../../testing'

const tables = writtenTables(`
# plain figures
route,riders
Astrel,4100
Quill,987
=> route | text | Astrel, Quill
=> riders | number | 4100, 987

# comma is the decimal, semicolons part
route;length
Astrel;12,5
Quill;9,25
=> route | text | Astrel, Quill
=> length | number | 12.5, 9.25

# point groups thousands, comma is the decimal
route;takings
Astrel;1.234,50
Quill;987,25
=> route | text | Astrel, Quill
=> takings | number | 1234.5, 987.25

# commas group thousands
route,riders
Astrel,"1,234"
Quill,"12,987"
=> route | text | Astrel, Quill
=> riders | number | 1234, 12987

# points group thousands in a file with semicolons
route;riders
Astrel;1.234
Quill;12.987
=> route | text | Astrel, Quill
=> riders | number | 1234, 12987

# decimals of three figures in a file with commas
berth,depth
A,1.234
B,2.5
=> berth | text | A, B
=> depth | number | 1.234, 2.5

# a nought before the point is no group
berth;share
A;0.125
B;0.250
=> berth | text | A, B
=> share | number | 0.125, 0.25

# blanks group thousands
route;riders
Astrel;1 234
Quill;1 012 987
=> route | text | Astrel, Quill
=> riders | number | 1234, 1012987

# narrow blanks group thousands, comma is the decimal
route;takings
Astrel;1 234,5
Quill;12 987,25
=> route | text | Astrel, Quill
=> takings | number | 1234.5, 12987.25

# apostrophes group thousands
route;takings
Astrel;1'234.50
Quill;12'987.25
=> route | text | Astrel, Quill
=> takings | number | 1234.5, 12987.25

# curved apostrophes
route;takings
Astrel;1’234
Quill;12’987
=> route | text | Astrel, Quill
=> takings | number | 1234, 12987

# Indian grouping
district,people
Harrow,"12,34,567"
Quill,"1,02,030"
=> district | place | Harrow, Quill
=> people | number | 1234567, 102030

# Indian grouping with decimals
district,takings
Harrow,"1,23,456.78"
Quill,"98,765.40"
=> district | place | Harrow, Quill
=> takings | number | 123456.78, 98765.4

# signs before
stop,change
Quill,+12
Harrow,-7
Saltworks,−3
=> stop | place | Quill, Harrow, Saltworks
=> change | number | 12, -7, -3

# a minus behind
stop;change
Quill;12
Harrow;7-
Saltworks;3-
=> stop | place | Quill, Harrow, Saltworks
=> change | number | 12, -7, -3

# brackets are negative
account,result
Fares,"1,240"
Fuel,(560)
Crew,"(1,015)"
=> account | text | Fares, Fuel, Crew
=> result | number | 1240, -560, -1015

# exponents
probe,reading
A,1.2e3
B,3.4E-2
=> probe | text | A, B
=> reading | number | 1200, 0.034

# a point before the figures
probe,reading
A,.5
B,.25
C,1.75
=> probe | text | A, B, C
=> reading | number | 0.5, 0.25, 1.75

# k and M behind the figures
page,views
Tides,1.2k
Fares,3M
Sailings,450
=> page | text | Tides, Fares, Sailings
=> views | number | 1200, 3000000, 450

# millions in words
port;cargo
Harrow;1,5 Mio.
Quill;2 Mio.
=> port | place | Harrow, Quill
=> cargo | number | 1500000, 2000000

# one unit in all cells
route,length
Astrel,12.5 km
Quill,9 km
=> route | text | Astrel, Quill
=> length | number km | 12.5, 9

# a unit in some cells
route,length
Astrel,12.5 km
Quill,9
=> route | text | Astrel, Quill
=> length | number km | 12.5, 9

# two units are no amount
route,length
Astrel,12.5 km
Quill,9 mi
=> route | text | Astrel, Quill
=> length | text | 12.5 km, 9 mi

# a unit in the header, in brackets
route,length (km)
Astrel,12.5
Quill,9
=> route | text | Astrel, Quill
=> length | number km | 12.5, 9

# a unit in the header, in square brackets
probe;temperature [°C]
A;12,5
B;-3
=> probe | text | A, B
=> temperature | number °C | 12.5, -3

# thousands in the header
route,passengers (thousands)
Astrel,12.5
Quill,9
=> route | text | Astrel, Quill
=> passengers | number | 12500, 9000

# what is in brackets and no unit stays
route,riders (summer)
Astrel,12
Quill,9
=> route | text | Astrel, Quill
=> riders (summer) | number | 12, 9

# percent signs
route,on time
Astrel,96 %
Quill,88%
=> route | text | Astrel, Quill
=> on time | percent % | 0.96, 0.88

# percent signs and decimal commas
route;on time
Astrel;96,4 %
Quill;88,0 %
=> route | text | Astrel, Quill
=> on time | percent % | 0.964, 0.88

# percent in the header
route,on time (%)
Astrel,96
Quill,88.5
=> route | text | Astrel, Quill
=> on time | percent % | 0.96, 0.885

# percent in the header’s words
route,percent full
Astrel,96
Quill,88
=> route | text | Astrel, Quill
=> percent full | percent % | 0.96, 0.88

# negative percentages
route,change
Astrel,-4.5%
Quill,+12%
=> route | text | Astrel, Quill
=> change | percent % | -0.045, 0.12

# words in a column of numbers
route,riders
Astrel,12
Quill,9
Harrow,closed
Low Sands,7
Saltworks,11
=> route | text | Astrel, Quill, Harrow, Low Sands, Saltworks
=> riders | number | 12, 9, ∅, 7, 11
!! “closed” in “riders” (row 4) *cannot be read so* and is missing

# more words than numbers are words
route,riders
Astrel,12
Quill,few
Harrow,many
=> route | text | Astrel, Quill, Harrow
=> riders | text | 12, few, many

# both decimal signs, each clear by itself
route;takings
Astrel;1.234,50
Quill;1,234.50
Harrow;12.5
=> route | text | Astrel, Quill, Harrow
=> takings | number | 1234.5, 1234.5, 12.5

# 1.234 and 1,234 in one column
route;takings
Astrel;1.234
Quill;1,234
=> route | text | Astrel, Quill
=> takings | number open | 1.234, 1,234

# another column tells what the comma is
route	length	riders
Astrel	12,5	1,234
Quill	9,25	2,345
=> route | text | Astrel, Quill
=> length | number | 12.5, 9.25
=> riders | number | 1.234, 2.345

# how many there are is no code
route,No. of passengers
Astrel,4100
Quill,987
=> route | text | Astrel, Quill
=> No. of passengers | number | 4100, 987

# points in days tell nothing of points in numbers
Tag;Fahrgäste
03.04.2031;1.234
04.04.2031;2.345
=> Tag | date day | 2031-04-03, 2031-04-04
=> Fahrgäste | number | 1234, 2345

# commas before three figures group thousands where tabs part the cells
route\triders
Astrel\t1,234
Quill\t12,987
=> route | text | Astrel, Quill
=> riders | number | 1234, 12987

# points before three figures are asked about where tabs part the cells
route\triders
Astrel\t1.234
Quill\t12.987
=> route | text | Astrel, Quill
=> riders | number open | 1.234, 12.987

# infinities are no numbers
probe,reading
A,1
B,2
C,3
D,4
E,Infinity
F,NaN
=> probe | text | A, B, C, D, E, F
=> reading | number | 1, 2, 3, 4, ∅, ∅
!! “Infinity” in “reading”

# a column that is empty
route,note,riders
Astrel,,12
Quill,,9
=> route | text | Astrel, Quill
=> note | text | ∅, ∅
=> riders | number | 12, 9

# numbers beyond what is kept whole
key,amount
A,12345678901234567890
B,1
=> key | code | A, B
=> amount | number | 12345678901234567000, 1

# an amount that begins its line
12,Astrel
9,Quill
=> Column 1 | number | 12, 9
=> Column 2 | text | Astrel, Quill
!! The first row is *data*
`)

describe('numbers as people write them', () => {
  it.each(tables)('$title', table => expect(asRead(table)).toEqual(table))
})
