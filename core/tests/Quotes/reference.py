"""Makes quotes and reckons their sums with Python's decimal, which shares no code with ours.

Usage: reference.py SEED COUNT; prints a JSON list of {"in": ..., "out": ...}.
Rules: EN 16931-1, BR-CO-10 to BR-CO-17 (net prices); net worked back once a category and rate (gross prices);
instalments by the largest remainder. Rounding is half up, away from zero.
"""
import json
import random
import sys
from decimal import ROUND_FLOOR, ROUND_HALF_UP, Decimal, getcontext

getcontext().prec = 60
RATES = [('S', '23'), ('S', '13.5'), ('S', '13.50'), ('S', '9'), ('S', '4.8'), ('Z', '0'), ('E', '0'), ('AE', '0')]
PLACES = {'EUR': 2, 'JPY': 0, 'KWD': 3, 'GBP': 2}


def reckon(quote):
    places = PLACES[quote['currency']]
    unit = Decimal(1).scaleb(-places)

    def half_up(value):
        return value.quantize(unit, rounding=ROUND_HALF_UP)

    def key(vat):
        return vat['category'], Decimal(vat['rate'])

    def part(one, base):
        return half_up(base * Decimal(one['percent'] or 0) / 100 + Decimal(one['amount'] or 0))

    lines, first, nets, sums = [], {}, {}, {}
    for line in quote['lines']:
        full = Decimal(line['quantity']) * Decimal(line['price'])
        net = half_up(full - full * Decimal(line['discount_percent'] or 0) / 100 - Decimal(line['discount_amount'] or 0))
        lines.append(net)
        if not line['optional'] or line['ticked']:
            group = key(line['vat'])
            first.setdefault(group, line['vat'])
            nets[group] = nets.get(group, Decimal(0)) + net
    sums = dict(nets)
    for sign, name in ((-1, 'allowances'), (1, 'charges')):
        for one in quote[name]:
            group = key(one['vat'])
            first.setdefault(group, one['vat'])
            sums[group] = sums.get(group, Decimal(0)) + sign * part(one, nets.get(group, Decimal(0)))
    vat = []
    for group, written in first.items():
        total = sums.get(group, Decimal(0))
        if quote['prices'] == 'net':
            taxable = total
            tax = half_up(total * group[1] / 100)
        else:
            taxable = half_up(total / (1 + group[1] / 100))
            tax = total - taxable
        vat.append((written, taxable, tax))
    net = sum((one[1] for one in vat), Decimal(0))
    tax = sum((one[2] for one in vat), Decimal(0))
    whole = net + tax
    asked = quote['deposit']
    deposit = min(part(asked, whole), whole) if asked['percent'] or asked['amount'] else Decimal(0)
    exact = [whole * Decimal(one['percent']) / 100 for one in quote['instalments']]
    shares = [one.quantize(unit, rounding=ROUND_FLOOR) for one in exact]
    left = int((whole - sum(shares, Decimal(0))) / unit) if shares else 0
    for i in sorted(range(len(shares)), key=lambda i: (-(exact[i] - shares[i]), i))[:left]:
        shares[i] += unit

    def text(value):
        return format(value.quantize(unit) + 0, 'f')

    return {
        'lines': [{'net': text(one)} for one in lines],
        'vat': [{'category': one[0]['category'], 'rate': one[0]['rate'], 'taxable': text(one[1]), 'tax': text(one[2])} for one in vat],
        'net': text(net), 'tax': text(tax), 'total': text(whole), 'deposit': text(deposit), 'instalments': [text(one) for one in shares],
    }


def make(rng):
    def figure(most, places):
        return format(Decimal(rng.randrange(0, most * 10 ** places + 1)).scaleb(-places), 'f')

    def maybe(share, value):
        return value() if rng.random() < share else None

    def vat():
        category, rate = rng.choice(RATES)
        return {'category': category, 'rate': rate}

    def on_whole():
        return {'percent': maybe(0.6, lambda: figure(100, rng.choice([0, 1, 2]))), 'amount': maybe(0.5, lambda: figure(50, 2)), 'vat': vat()}

    lines = [{
        'quantity': ('-' if rng.random() < 0.1 else '') + rng.choice([figure(20, 0), figure(20, 2), figure(5, 4), '0', '1', '0.3333', '1000000000']),
        'price': rng.choice([figure(900, 2), figure(90, 4), '0.005', '45.50', '0']),
        'discount_percent': maybe(0.3, lambda: rng.choice([figure(100, 0), figure(100, 2), '100'])),
        'discount_amount': maybe(0.2, lambda: figure(30, 2)),
        'vat': vat(), 'optional': rng.random() < 0.25, 'ticked': rng.random() < 0.5,
    } for _ in range(rng.choice([0, 1, 2, 3, 5, 12]))]
    parts = rng.choice([[], [], ['100'], ['50', '50'], ['33.33', '33.33', '33.34'], ['30', '30', '40'], ['14.2857', '14.2857', '14.2857', '14.2857', '14.2857', '14.2857', '14.2858']])
    return {
        'currency': rng.choice(['EUR', 'EUR', 'GBP', 'JPY', 'KWD']), 'prices': rng.choice(['net', 'gross']), 'lines': lines,
        'allowances': [on_whole() for _ in range(rng.choice([0, 0, 1, 2]))], 'charges': [on_whole() for _ in range(rng.choice([0, 0, 1]))],
        'deposit': {'percent': maybe(0.4, lambda: figure(150, 1)), 'amount': maybe(0.3, lambda: figure(500, 2))},
        'instalments': [{'percent': one} for one in parts],
    }


if __name__ == '__main__':
    rng = random.Random(int(sys.argv[1]))
    made = [make(rng) for _ in range(int(sys.argv[2]))]
    json.dump([{'in': one, 'out': reckon(one)} for one in made], sys.stdout)
