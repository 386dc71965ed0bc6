import { kinds } from '../../form/kinds';
import { describe, expect, it } from 'vitest';
import {
  addPage,
  addQuestion,
  changeQuestion,
  complete,
  type Definition,
  dependents,
  destinationLabel,
  type KnownKinds,
  type Kind,
  designed,
  likelyFor,
  moveQuestion,
  moveTo,
  ofKind,
  questionsOf,
  removePage,
  removeQuestion,
} from './design';
import { conditionWords, numberOf, operatorWords } from './conditionWords';
import { asPublic } from './asPublic';
import { kindGroups, kindsLike } from '../forms/kindWords';

const definition: Definition = complete({
  title: 'Inquiry',
  pages: [
    {
      key: 'a',
      title: 'You',
      next: 'Next',
      questions: [
        { key: 'name', type: 'person-name', wording: 'Your name' },
        { key: 'stairs', type: 'yes-no', wording: 'Stairs?' },
      ],
    },
    {
      key: 'b',
      title: 'More',
      next: 'Send',
      questions: [
        {
          key: 'floors',
          type: 'number',
          wording: 'How many floors?',
          showIf: { question: 'stairs', op: 'is', value: 'yes' },
        },
        {
          key: 'lift',
          type: 'yes-no',
          wording: 'A lift?',
          requiredIf: {
            any: [
              { question: 'floors', op: 'more-than', value: '2' },
              { not: { question: 'stairs', op: 'is', value: 'no' } },
            ],
          },
        },
      ],
    },
  ],
});

const known: KnownKinds = {
  kinds: [
    { kind: 'short-text', destinations: ['asset.description', 'asset.serial', 'project.notes'], inLines: true },
    { kind: 'number', destinations: ['asset.serial'], inLines: true },
    { kind: 'day', destinations: ['project.ready_by'], inLines: true },
  ],
  services: [],
  staff: [],
  destinations: [
    { name: 'asset.description', label: 'asset, what it is', words: [] },
    { name: 'asset.serial', label: 'asset, serial number', words: ['serial'] },
  ],
};

const keys = (of: Definition) => of.pages.map((page) => page.questions.map((question) => question.key).join(' '));

describe('designing a form', () => {
  it('fills in what a stored definition may lack', () => {
    expect(complete({})).toMatchObject({ title: '', pages: [], promiseMinutes: 120, dayOrder: 'unstated' });
    expect(complete({ pages: [{}] }).pages[0]).toEqual({ key: 'page_1', title: '', next: '', questions: [] });
  });

  it('adds behind a question, or at the end, under a key of its own', () => {
    const added = addQuestion(definition, 'name', { type: 'email' });
    expect(keys(added.definition)).toEqual([`name ${added.key} stairs`, 'floors lift']);
    const last = addQuestion(added.definition, null);
    expect(keys(last.definition)[1]).toBe(`floors lift ${last.key}`);
    expect(last.key).not.toBe(added.key);
  });

  it('moves within a page and over its edge, and stays at the ends', () => {
    expect(keys(moveQuestion(definition, 'stairs', -1))).toEqual(['stairs name', 'floors lift']);
    expect(keys(moveQuestion(definition, 'stairs', 1))).toEqual(['name', 'stairs floors lift']);
    expect(keys(moveQuestion(definition, 'floors', -1))).toEqual(['name stairs floors', 'lift']);
    expect(keys(moveQuestion(definition, 'name', -1))).toEqual(keys(definition));
    expect(keys(moveQuestion(definition, 'lift', 1))).toEqual(keys(definition));
  });

  it('knows what asks about a question, however deep', () => {
    expect(dependents(definition, 'stairs').map((question) => question.key)).toEqual(['floors', 'lift']);
    expect(dependents(definition, 'floors').map((question) => question.key)).toEqual(['lift']);
    expect(dependents(definition, 'name')).toEqual([]);
  });

  it('takes a question out together with what asks about it', () => {
    const left = removeQuestion(definition, 'stairs');
    expect(keys(left)).toEqual(['name', 'floors lift']);
    expect(questionsOf(left).some((question) => question.showIf ?? question.requiredIf)).toBe(false);
    expect(questionsOf(definition)[2]?.showIf).toBeDefined();
  });

  it('changes one question and leaves the rest', () => {
    const changed = changeQuestion(definition, 'floors', { wording: 'Floors' });
    expect(questionsOf(changed).map((question) => question.wording)).toEqual([
      'Your name',
      'Stairs?',
      'Floors',
      'A lift?',
    ]);
  });

  it('adds pages, and takes only empty ones out', () => {
    const more = addPage(definition);
    expect(more.pages).toHaveLength(3);
    const fresh = more.pages[2];
    expect(removePage(more, fresh?.key ?? '').pages).toHaveLength(2);
    expect(removePage(more, 'a').pages).toHaveLength(3);
  });

  it('tells conditions with the numbers of the questions', () => {
    const [, , floors, lift] = questionsOf(definition);
    expect(floors?.showIf && conditionWords(floors.showIf, definition)).toBe('2 is yes');
    expect(lift?.requiredIf && conditionWords(lift.requiredIf, definition)).toBe('3 is more than 2 or not (2 is no)');
    expect(conditionWords({ question: 'gone', op: 'is-blank' }, definition)).toBe('“gone” is blank');
  });

  it('has words and ways of asking for every kind', () => {
    for (const kind of Object.keys(kinds) as Kind[])
      expect(designed(kind).operators.every((operator) => operatorWords[operator])).toBe(true);
  });

  it('finds a kind by letters of any of its words', () => {
    expect(kindsLike('ph')[0]).toBe('phone');
    for (const [word, kind] of [
      ['date', 'day'],
      ['dropdown', 'one-of'],
      ['photo', 'files'],
      ['company', 'organisation'],
      ['long text', 'long-text'],
      ['checkbox', 'any-of'],
      ['paragraph', 'long-text'],
      ['heading', 'section'],
    ] as const)
      expect(kindsLike(word), word).toContain(kind);
    expect(kindGroups.flatMap((group) => group.kinds).sort()).toEqual(Object.keys(kinds).sort());
    expect(kindsLike('sig')[0]).toBe('signature');
    expect(kindsLike('')).toHaveLength(Object.keys(kinds).length);
    expect(kindsLike('zz')).toEqual([]);
  });

  it('says the likely place by the wording, or the usual one', () => {
    expect(likelyFor(known, 'short-text', 'What number is on it? Its serial number')).toBe('asset.serial');
    expect(likelyFor(known, 'short-text', 'Which?')).toBe('asset.description');
    expect(likelyFor(known, 'statement', 'Serial')).toBeUndefined();
    expect(destinationLabel(known, 'custom.client.gone')).toContain('not there');
  });

  it('keeps a place that fits another kind, and gives a choice something to offer', () => {
    const question = { key: 'a', type: 'short-text' as const, wording: '', destination: 'asset.serial' };
    expect(ofKind(known, question, 'number')).toEqual({ type: 'number' });
    expect(ofKind(known, question, 'day')).toEqual({ type: 'day', destination: '' });
    expect(ofKind(known, question, 'one-of').options).toHaveLength(2);
    expect(ofKind(known, question, 'lines').lines).toHaveLength(1);
  });

  it('moves a question to where another stands', () => {
    expect(keys(moveTo(definition, 'name', 'stairs'))).toEqual(['stairs name', 'floors lift']);
    expect(keys(moveTo(definition, 'stairs', 'name'))).toEqual(['stairs name', 'floors lift']);
    expect(keys(moveTo(definition, 'lift', 'name'))).toEqual(['lift name stairs', 'floors']);
    expect(keys(moveTo(definition, 'name', 'lift'))).toEqual(['stairs', 'floors lift name']);
    expect(moveTo(definition, 'gone', 'name')).toBe(definition);
  });

  it('numbers only what asks', () => {
    const told = addQuestion(definition, 'name', { type: 'section' });
    expect(numberOf(told.definition, told.key)).toBe(0);
    expect(numberOf(told.definition, 'stairs')).toBe(2);
    expect(asPublic(told.definition, '2026-11-25').pages[0]?.questions.map((one) => one.number)).toEqual([1, 0, 2]);
  });

  it('shows the draft as the public would get it', () => {
    const form = asPublic(definition, '2026-11-25');
    expect(form.pages.flatMap((page) => page.questions).map((question) => question.number)).toEqual([1, 2, 3, 4]);
    expect(form.pages[1]?.questions[0]?.showIf).toEqual({ question: 'stairs', op: 'is', value: 'yes' });
  });
});
