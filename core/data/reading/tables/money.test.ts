import { describe, expect, it } from 'vitest'
import { asRead, writtenTables } from '../../../testing'

const tables = writtenTables(`
# euros behind
item;cost
Fuel;1.240,50 €
Crew;20,00 €
=> item | text | Fuel, Crew
=> cost | money € | 1240.5, 20

# dollars before
item,cost
Fuel,"$1,240.50"
Crew,$20
=> item | text | Fuel, Crew
=> cost | money $ | 1240.5, 20

# pounds, negative in brackets
item,result
Fares,"£1,240"
Fuel,(£560)
=> item | text | Fares, Fuel
=> result | money £ | 1240, -560

# euros, negative in brackets
item;result
Fares;1.240,50 €
Fuel;(560,00 €)
=> item | text | Fares, Fuel
=> result | money € | 1240.5, -560

# a minus before the sign
item,result
Fares,€1240
Fuel,-€560
=> item | text | Fares, Fuel
=> result | money € | 1240, -560

# a code behind
item;cost
Fuel;1 240 EUR
Crew;20 EUR
=> item | text | Fuel, Crew
=> cost | money EUR | 1240, 20

# Swiss francs with apostrophes
item;cost
Fuel;CHF 1'240.50
Crew;CHF 20.00
=> item | text | Fuel, Crew
=> cost | money CHF | 1240.5, 20

# crowns
item;cost
Fuel;1 240,50 kr
Crew;20,00 kr
=> item | text | Fuel, Crew
=> cost | money kr | 1240.5, 20

# zlotys
item;cost
Fuel;1 240,50 zł
Crew;20,00 zł
=> item | text | Fuel, Crew
=> cost | money zł | 1240.5, 20

# rupees in lakh
item,cost
Fuel,"₹12,34,567"
Crew,"₹98,765"
=> item | text | Fuel, Crew
=> cost | money ₹ | 1234567, 98765

# the sign in some cells
item,cost
Fuel,€1240
Crew,€20
Paint,35
=> item | text | Fuel, Crew, Paint
=> cost | money € | 1240, 20, 35

# the currency in the header
item,cost (€)
Fuel,1240.5
Crew,20
=> item | text | Fuel, Crew
=> cost | money € | 1240.5, 20

# the currency in the header’s words
item,cost in EUR
Fuel,1240.5
Crew,20
=> item | text | Fuel, Crew
=> cost | money EUR | 1240.5, 20

# millions of euros in the header
item;cost (Mio. €)
Fuel;1,5
Crew;0,25
=> item | text | Fuel, Crew
=> cost | money € | 1500000, 250000

# thousands of euros in the header
item,cost (k€)
Fuel,1.5
Crew,20
=> item | text | Fuel, Crew
=> cost | money € | 1500, 20000

# millions behind the figures
item;cost
Fuel;1,5 Mio. €
Crew;2 Mio. €
=> item | text | Fuel, Crew
=> cost | money € | 1500000, 2000000

# two currencies cannot be added
item,cost
Fuel,€1240
Crew,$20
=> item | text | Fuel, Crew
=> cost | text | €1240, $20

# missing money
item;cost
Fuel;1.240,50 €
Crew;–
Paint;n/a
Ropes;20,00 €
=> item | text | Fuel, Crew, Paint, Ropes
=> cost | money € | 1240.5, ∅, ∅, 20
!! Two cells, “–” or “n/a”, are *missing, not zero*

# nothing but noughts
item,cost
Fuel,€0.00
Crew,€0.00
=> item | text | Fuel, Crew
=> cost | money € | 0, 0
`)

describe('money as people write it', () => {
  it.each(tables)('$title', table => expect(asRead(table)).toEqual(table))
})
