"""Makes checklists and merges them with networkx, which shares no code with ours; days are counted one by one.

Usage: graphs.py SEED COUNT > graphs.json (needs networkx; 2.8.8 made the file that is kept). Prints a JSON list of
{"in": ..., "out": ...}, "out" being {"circle": [...]} where the items of some circle wait for one another.
"""
import json
import random
import sys
from datetime import date, timedelta

import networkx as nx


def places(lists):
    def of(one):
        for item in one['items']:
            key = f"{one['key']}/{item['key']}"
            yield key
            for other in lists:
                if other['joins_after'] == key:
                    yield from of(other)
    return [key for one in lists if one['joins_after'] is None for key in of(one)]


def merge(question):
    place = {key: i for i, key in enumerate(places(question['checklists']))}
    items = {f"{one['key']}/{item['key']}": item for one in question['checklists'] for item in one['items']}
    takes = {key: item['takes'] for key, item in items.items()}
    graph = nx.DiGraph()
    graph.add_nodes_from(items)
    graph.add_edges_from((before, key) for key, item in items.items() for before in item['waits_for'])
    if not nx.is_directed_acyclic_graph(graph):
        return {'circle': sorted(key for part in nx.strongly_connected_components(graph) for key in part if len(part) > 1 or graph.has_edge(key, key))}
    order = list(nx.lexicographical_topological_sort(graph, key=place.get))
    number = {key: i + 1 for i, key in enumerate(order)}

    # An arrow weighs what the item it leaves takes, so that the longest way to an item is its earliest start.
    weighed = nx.DiGraph((before, after, {'weight': takes[before]}) for before, after in graph.edges)
    weighed.add_nodes_from(items)
    weighed.add_edges_from((key, '', {'weight': takes[key]}) for key in items)

    def longest(nodes):
        return nx.dag_longest_path_length(weighed.subgraph(nodes), weight='weight')

    start = {key: longest(nx.ancestors(weighed, key) | {key}) for key in items}
    rest = {key: longest(nx.descendants(weighed, key) | {key}) for key in items}
    length = longest(weighed.nodes)

    def is_open(day):
        return day.isoweekday() in question['open_weekdays'] and day.isoformat() not in question['closures']

    def walk(day, step):
        day += timedelta(step)
        while not is_open(day):
            day += timedelta(step)
        return day

    zero = walk(date.fromisoformat(question['start']) - timedelta(1), 1)

    def day(count):
        at = zero
        for _ in range(abs(count)):
            at = walk(at, 1 if count > 0 else -1)
        return at

    ready = None
    if question['ready_by'] is not None:
        at, ready = walk(date.fromisoformat(question['ready_by']) + timedelta(1), -1), 0
        while at != zero:
            ready, at = (ready + 1, walk(at, -1)) if at > zero else (ready - 1, walk(at, 1))
    end = max(length, ready or 0)

    def due(key):
        own = items[key]['due']
        if own is not None and (own['from'] == 'start' or ready is not None):
            return (0 if own['from'] == 'start' else ready) + own['days'] * (-1 if own['before'] else 1)
        return start[key] + takes[key] if ready is None else end - rest[key] + takes[key]

    def runs(key, left, run):
        run = [*run, number[key]]
        left -= takes[key]
        if left == 0:
            yield run
        for after in graph.successors(key):
            yield from runs(after, left, run)

    best = min(run for key in items for run in runs(key, length, []))
    return {
        'tasks': [{
            'key': key, 'number': number[key], 'waits_for': items[key]['waits_for'],
            'earliest_start': start[key], 'earliest_finish': start[key] + takes[key],
            'latest_start': end - rest[key], 'float': end - rest[key] - start[key], 'due': day(due(key)).isoformat(),
        } for key in order],
        'longest_chain': [order[i - 1] for i in best],
        'short_by': 0 if ready is None else max(0, length - ready),
    }


def make(rng):
    lists, known = [], []
    for i in range(rng.choice([1, 2, 3, 4])):
        key = f'list{i}'
        items = [{'key': f'item{j}', 'name': f'Item {j}', 'takes': rng.choice([0, 0, 1, 1, 2, 3, 5]), 'waits_for': [], 'due': None} for j in range(rng.choice([1, 2, 3, 5, 7]))]
        lists.append({'key': key, 'joins_after': rng.choice(known) if known and rng.random() < 0.6 else None, 'items': items})
        known += [f"{key}/{item['key']}" for item in items]
    rng.shuffle(lists)
    ranks = {key: rng.random() for key in known}
    for one in lists:
        for item in one['items']:
            own = ranks[f"{one['key']}/{item['key']}"]
            before = [key for key in known if ranks[key] < own] if rng.random() < 0.985 else known
            item['waits_for'] = rng.sample(before, min(len(before), rng.choice([0, 1, 1, 2, 3])))
            if rng.random() < 0.2:
                item['due'] = {'from': rng.choice(['start', 'ready_by']), 'days': rng.randrange(0, 9), 'before': rng.random() < 0.3}
    start = date(2026, 11, 24) + timedelta(rng.randrange(0, 60))
    return {
        'start': start.isoformat(),
        'ready_by': (start + timedelta(rng.randrange(-10, 60))).isoformat() if rng.random() < 0.7 else None,
        'open_weekdays': rng.choice([[1, 2, 3, 4, 5], [2, 3, 4, 5, 6], [1, 4], [1, 2, 3, 4, 5, 6, 7]]),
        'closures': [(start + timedelta(rng.randrange(-20, 60))).isoformat() for _ in range(rng.choice([0, 3, 12]))],
        'checklists': lists,
    }


if __name__ == '__main__':
    rng = random.Random(int(sys.argv[1]))
    made = [make(rng) for _ in range(int(sys.argv[2]))]
    print('[')
    print(',\n'.join(json.dumps({'in': one, 'out': merge(one)}, separators=(',', ':')) for one in made))
    print(']')
