import { createHash } from 'node:crypto';
import { strToU8, zipSync } from 'fflate';
import { describe, expect, test } from 'vitest';
import { KINDS, type Question, questionModel, respond } from '../../core';
import { exampleOf } from '../../core/kinds';
import { itemOut } from './item';
import { type ArrivedItem, packageIn } from './packageIn';
import { packageOut } from './packageOut';

const sha = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');
const arrive = (zip: Uint8Array) => packageIn([zip], sha);

const QTI3 = 'xmlns="http://www.imsglobal.org/xsd/imsqtiasi_v3p0"';
const MATCH = 'https://purl.imsglobal.org/spec/qti/v3p0/rptemplates/match_correct.xml';
const MAP = 'https://purl.imsglobal.org/spec/qti/v3p0/rptemplates/map_response.xml';
const MAP_POINT = 'https://purl.imsglobal.org/spec/qti/v3p0/rptemplates/map_response_point.xml';

/** A package of another program: one item, with files beside it. */
function packaged(item: string, files: Record<string, string> = {}): Uint8Array {
  const manifest = `<?xml version="1.0"?><manifest xmlns="http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1"
    identifier="m"><metadata><schema>QTI Package</schema><schemaversion>3.0.0</schemaversion></metadata>
    <organizations/><resources><resource identifier="r" type="imsqti_item_xmlv3p0" href="items/one.xml">
    <file href="items/one.xml"/></resource></resources></manifest>`;
  const all = { 'imsmanifest.xml': manifest, 'items/one.xml': item, ...files };
  return zipSync(Object.fromEntries(Object.entries(all).map(([name, text]) => [name, strToU8(text)])));
}

function onlyItem(zip: Uint8Array): ArrivedItem {
  const arrived = arrive(zip);
  if (!arrived.ok) throw new Error(arrived.message);
  expect(arrived.items).toHaveLength(1);
  return arrived.items[0] as ArrivedItem;
}
function onlyQuestion(zip: Uint8Array) {
  const item = onlyItem(zip);
  if ('reason' in item) throw new Error(item.reason);
  expect(item.questions).toHaveLength(1);
  return item.questions[0] as (typeof item.questions)[number];
}
const reasonIn = (zip: Uint8Array): string => {
  const item = onlyItem(zip);
  return 'reason' in item ? item.reason : '';
};
function markOf(question: Question, response: object): number {
  const responded = respond(questionModel(question), response);
  if (!responded.ok) throw new Error(responded.fault);
  return responded.judged.mark;
}
const put = (zone: string, ...items: string[]) => items.map((item) => ({ item, zone }));

const item3 = (declarations: string, body: string, processing = `<qti-response-processing template="${MATCH}"/>`) =>
  `<?xml version="1.0"?><qti-assessment-item ${QTI3} identifier="seeds" title="Seeds" adaptive="false"
    time-dependent="false">${declarations}
    <qti-outcome-declaration identifier="SCORE" cardinality="single" base-type="float"/>
    <qti-item-body>${body}</qti-item-body>${processing}</qti-assessment-item>`;
const declared = (cardinality: string, type: string, inner: string, identifier = 'RESPONSE') =>
  `<qti-response-declaration identifier="${identifier}" cardinality="${cardinality}" base-type="${type}">
            ${inner}</qti-response-declaration>`;
const correct = (...values: string[]) =>
  `<qti-correct-response>${values.map((value) => `<qti-value>${value}</qti-value>`).join('')}</qti-correct-response>`;
const mapping = (attributes: string, ...entries: [string, number][]) =>
  `<qti-mapping ${attributes}>${entries
    .map(([key, value]) => `<qti-map-entry map-key="${key}" mapped-value="${value}"/>`)
    .join('')}</qti-mapping>`;
const choices = (name: string, ...ids: string[]) =>
  ids.map((id) => `<${name} identifier="${id}" match-max="1">${id}</${name}>`).join('');

describe('items of other programs', () => {
  test('choice by a mapping with costs: as many marks as there, and bounds', () => {
    const { question, approximations, interaction } = onlyQuestion(
      packaged(
        item3(
          declared(
            'multiple',
            'identifier',
            mapping('lower-bound="0" upper-bound="2" default-value="-0.5"', ['barley', 1], ['poppy', 1]),
          ),
          `<p>What stands <strong>drying</strong>?</p><qti-choice-interaction response-identifier="RESPONSE"
            max-choices="0">
            <qti-prompt>Pick all.</qti-prompt>${choices('qti-simple-choice', 'barley', 'poppy', 'acorn')}
          </qti-choice-interaction>`,
          `<qti-response-processing template="${MAP}"/>`,
        ),
      ),
    );
    expect({ interaction, approximations, kind: question.kind }).toEqual({
      interaction: 'choice',
      approximations: [],
      kind: 'pick',
    });
    expect(question.prompt?.blocks).toHaveLength(2);
    expect(markOf(question, { placements: put('picked', 'barley', 'poppy') })).toBe(2);
    expect(markOf(question, { placements: put('picked', 'barley', 'acorn') })).toBe(0.5);
    expect(markOf(question, { placements: put('picked', 'acorn') })).toBe(0);
  });

  test('unequal marks, and marks below 0, are named as approximations', () => {
    const { approximations } = onlyQuestion(
      packaged(
        item3(
          declared('multiple', 'identifier', mapping('default-value="-1"', ['barley', 1], ['poppy', 3])),
          `<qti-choice-interaction response-identifier="RESPONSE" max-choices="0">
            ${choices('qti-simple-choice', 'barley', 'poppy', 'acorn')}</qti-choice-interaction>`,
          `<qti-response-processing template="${MAP}"/>`,
        ),
      ),
    );
    expect(approximations.map(({ message }) => message).join(' ')).toMatch(/fall below 0.*unequal marks/);
  });

  test('order by its correct response: all or nothing', () => {
    const { question } = onlyQuestion(
      packaged(
        item3(
          declared('ordered', 'identifier', correct('dry', 'seal', 'freeze')),
          `<qti-order-interaction response-identifier="RESPONSE" shuffle="true">
            ${choices('qti-simple-choice', 'freeze', 'dry', 'seal')}</qti-order-interaction>`,
        ),
      ),
    );
    expect(question.kind).toBe('order');
    expect(markOf(question, { placements: put('order', 'dry', 'seal', 'freeze') })).toBe(1);
    expect(markOf(question, { placements: put('order', 'dry', 'freeze', 'seal') })).toBe(0);
  });

  test('match, associate, gap match and graphic gap match give zones their identifiers', () => {
    const pairs = mapping('default-value="0"', ['barley dry', 1], ['acorn moist', 1]);
    const sides = `<qti-simple-match-set>${choices('qti-simple-associable-choice', 'barley', 'acorn')}</qti-simple-match-set>
      <qti-simple-match-set>${choices('qti-simple-associable-choice', 'dry', 'moist')}</qti-simple-match-set>`;
    const hotspots = `<qti-associable-hotspot identifier="dry" shape="circle" coords="50,50,20" match-max="1"/>
      <qti-associable-hotspot identifier="moist" shape="rect" coords="100,10,180,90" match-max="1"/>`;
    const words = choices('qti-gap-text', 'barley', 'acorn');
    const map = `<qti-response-processing template="${MAP}"/>`;
    const bodies = {
      match: `<qti-match-interaction response-identifier="RESPONSE">${sides}</qti-match-interaction>`,
      gapMatch: `<qti-gap-match-interaction response-identifier="RESPONSE">${words}<p>Dry <qti-gap identifier="dry"/>,
        moist <qti-gap identifier="moist"/>.</p></qti-gap-match-interaction>`,
      graphicGapMatch: `<qti-graphic-gap-match-interaction response-identifier="RESPONSE"><object data="room.svg"
        type="image/svg+xml" width="200" height="100"/>${words}${hotspots}</qti-graphic-gap-match-interaction>`,
    };
    for (const [name, body] of Object.entries(bodies)) {
      const { question, interaction } = onlyQuestion(
        packaged(item3(declared('multiple', 'directedPair', pairs), body, map), {
          'items/room.svg': '<svg xmlns="http://www.w3.org/2000/svg" width="200" height="100"/>',
        }),
      );
      expect(interaction).toBe(name);
      const right = [...put('dry', 'barley'), ...put('moist', 'acorn')];
      expect(markOf(question, { placements: right }), name).toBe(2);
      expect(markOf(question, { placements: put('dry', 'barley') }), name).toBe(1);
      expect(markOf(question, { placements: put('moist', 'barley') }), name).toBe(0);
    }
    const associated = onlyQuestion(
      packaged(
        item3(
          declared('multiple', 'pair', correct('barley dry', 'acorn moist')),
          `<qti-associate-interaction response-identifier="RESPONSE">
            ${choices('qti-simple-associable-choice', 'barley', 'acorn', 'dry', 'moist')}</qti-associate-interaction>`,
        ),
      ),
    );
    expect(associated.approximations[0]?.message).toContain('no sides');
    expect(markOf(associated.question, { placements: [...put('barley', 'dry'), ...put('acorn', 'moist')] })).toBe(1);
  });

  test('menus and typed gaps of one text are one question', () => {
    const { question } = onlyQuestion(
      packaged(
        item3(
          `${declared('single', 'identifier', correct('dried'), 'RESPONSE_a')}
           ${declared('single', 'string', mapping('default-value="0"', ['sealed', 1], ['closed', 1]), 'RESPONSE_b')}`,
          `<p>Seed is <qti-inline-choice-interaction response-identifier="RESPONSE_a">
            ${choices('qti-inline-choice', 'dried', 'boiled')}
           </qti-inline-choice-interaction> before it is <qti-text-entry-interaction response-identifier="RESPONSE_b"/>.</p>`,
          `<qti-response-processing><qti-response-condition><qti-response-if><qti-match>
             <qti-variable identifier="RESPONSE_a"/><qti-correct identifier="RESPONSE_a"/></qti-match>
             <qti-set-outcome-value identifier="SCORE"><qti-sum><qti-variable identifier="SCORE"/>
             <qti-base-value base-type="float">1</qti-base-value></qti-sum></qti-set-outcome-value>
           </qti-response-if></qti-response-condition>
           <qti-set-outcome-value identifier="SCORE"><qti-sum><qti-variable identifier="SCORE"/>
             <qti-map-response identifier="RESPONSE_b"/></qti-sum></qti-set-outcome-value></qti-response-processing>`,
        ),
      ),
    );
    expect(question.zones.map(({ id }) => id)).toEqual(['a', 'b']);
    const both = (text: string) => ({
      drops: [
        { item: 'dried', zone: 'a' },
        { zone: 'b', text },
      ],
    });
    expect(markOf(question, both('closed'))).toBe(2);
    expect(markOf(question, both('open'))).toBe(1);
  });

  test('points: an area is a hidden spot, and a miss costs what it cost', () => {
    const areas = `<qti-area-mapping default-value="-1"><qti-area-map-entry shape="circle" coords="30,30,10"
      mapped-value="1"/><qti-area-map-entry shape="rect" coords="60,20,90,50" mapped-value="1"/></qti-area-mapping>`;
    const { question } = onlyQuestion(
      packaged(
        item3(
          declared('multiple', 'point', areas),
          `<qti-select-point-interaction response-identifier="RESPONSE" max-choices="3"><object data="room.svg"
            type="image/svg+xml" width="200" height="100"/></qti-select-point-interaction>`,
          `<qti-response-processing template="${MAP_POINT}"/>`,
        ),
        { 'items/room.svg': '<svg xmlns="http://www.w3.org/2000/svg" width="200" height="100"/>' },
      ),
    );
    expect(question.kind).toBe('mark');
    const at = (x: number, y: number, copy: number) => ({ item: 'marker', copy, x: x - 17, y: y - 17 });
    expect(markOf(question, { drops: [at(30, 30, 0), at(75, 35, 1)] })).toBe(2);
    expect(markOf(question, { drops: [at(30, 30, 0), at(75, 35, 1), at(150, 60, 2)] })).toBe(1);
  });

  test('hotspots take a marker; places on a picture in order become a list', () => {
    const spots = `<qti-hotspot-choice identifier="a" shape="circle" coords="30,30,20" hotspot-label="Radicle"/>
      <qti-hotspot-choice identifier="b" shape="circle" coords="120,30,20" hotspot-label="Testa"/>`;
    const picture = '<object data="room.svg" type="image/svg+xml" width="200" height="100"/>';
    const files = { 'items/room.svg': '<svg xmlns="http://www.w3.org/2000/svg" width="200" height="100"/>' };
    const hotspot = onlyQuestion(
      packaged(
        item3(
          declared('single', 'identifier', correct('a')),
          `<qti-hotspot-interaction response-identifier="RESPONSE" max-choices="1">
            ${picture}${spots}</qti-hotspot-interaction>`,
        ),
        files,
      ),
    );
    expect(markOf(hotspot.question, { placements: put('a', 'marker') })).toBe(1);
    expect(markOf(hotspot.question, { placements: put('b', 'marker') })).toBe(0);
    const order = onlyQuestion(
      packaged(
        item3(
          declared('ordered', 'identifier', correct('b', 'a')),
          `<qti-graphic-order-interaction response-identifier="RESPONSE">
            ${picture}${spots}</qti-graphic-order-interaction>`,
        ),
        files,
      ),
    );
    expect(order.question.items.map(({ label }) => label).sort()).toEqual(['Radicle', 'Testa']);
    expect(markOf(order.question, { placements: put('order', 'b', 'a') })).toBe(1);
  });

  test('an item of QTI 2.1 is read by the same names', () => {
    const item = `<?xml version="1.0"?><assessmentItem xmlns="http://www.imsglobal.org/xsd/imsqti_v2p1"
      identifier="old" title="Old" adaptive="false" timeDependent="false">
      <responseDeclaration identifier="RESPONSE" cardinality="single" baseType="identifier"><correctResponse>
      <value>A</value></correctResponse></responseDeclaration>
      <outcomeDeclaration identifier="SCORE" cardinality="single" baseType="float"/><itemBody>
      <choiceInteraction responseIdentifier="RESPONSE" shuffle="false" maxChoices="1">
      <simpleChoice identifier="A">Barley</simpleChoice><simpleChoice identifier="B">Acorn</simpleChoice>
      </choiceInteraction></itemBody><responseProcessing
      template="http://www.imsglobal.org/question/qti_v2p1/rptemplates/match_correct"/></assessmentItem>`;
    const { question } = onlyQuestion(packaged(item));
    expect(question.zones[0]?.capacity).toBe(1);
    expect(markOf(question, { placements: put('picked', 'A') })).toBe(1);
  });
});

describe('what is not taken', () => {
  const anything = declared('single', 'string', correct('a'));
  test('an interaction that is no kind of ours is refused by its name', () => {
    const item = item3(anything, '<qti-extended-text-interaction response-identifier="RESPONSE"/>');
    expect(reasonIn(packaged(item))).toContain('extended-text-interaction');
  });

  test('entities, document types, broken XML', () => {
    const bomb = `<!DOCTYPE a [<!ENTITY b "${'x'.repeat(100)}"><!ENTITY c SYSTEM "file:///etc/passwd">]>`;
    expect(reasonIn(packaged(item3(anything, '&c;').replace('?>', `?>${bomb}`)))).toContain('DOCTYPE');
    expect(
      reasonIn(packaged(item3(anything, '&b;<qti-text-entry-interaction response-identifier="RESPONSE"/>'))),
    ).toContain('entity');
    expect(reasonIn(packaged('<qti-assessment-item>'))).toContain('well-formed');
  });

  test('a file outside of the package is not looked for', () => {
    const { question, approximations } = onlyQuestion(
      packaged(
        item3(
          declared('single', 'identifier', correct('a')),
          `<qti-choice-interaction response-identifier="RESPONSE" max-choices="1"><qti-simple-choice identifier="a">
            <img src="../../../etc/seed.png" alt="Seed"/></qti-simple-choice><qti-simple-choice identifier="b">
            <img src="https://elsewhere.example/seed.png" alt="Chip"/></qti-simple-choice></qti-choice-interaction>`,
        ),
      ),
    );
    expect(question.items.map(({ label }) => label)).toEqual(['Seed', 'Chip']);
    expect(approximations).toHaveLength(2);
  });

  test('a zip without a manifest, and no zip', () => {
    expect(arrive(zipSync({ 'a.xml': strToU8('<a/>') }))).toMatchObject({ ok: false });
    expect(arrive(strToU8('no zip at all'))).toMatchObject({ ok: false });
  });
});

describe('our own packages', () => {
  test('come home without loss, their media too', () => {
    const questions = KINDS.map((kind) => exampleOf(kind, `own-${kind}`));
    const bytes = strToU8('<svg xmlns="http://www.w3.org/2000/svg"/>');
    const hash = sha(bytes);
    const pictured: Question = {
      ...(questions[0] as Question),
      id: 'pictured' as Question['id'],
      media: {
        seed: {
          hash,
          kind: 'picture',
          description: 'A seed',
          decorative: false,
          source: '',
          licence: '',
          weight: bytes.length,
          captions: null,
          advances: null,
        },
      },
      items: (questions[0] as Question).items.map((item, i) =>
        i === 0 ? { ...item, content: { text: null, picture: 'seed', sound: null } } : item,
      ) as Question['items'],
    };
    const href = `media/${hash}.svg`;
    const packed = [...questions, pictured].map((question) => {
      const item = itemOut(question, { media: new Map([['seed', { href, bytes }]]), modelAnswer: null });
      if (!item.carried) throw new Error(JSON.stringify(item.reasons));
      return { question, item, files: question === pictured ? new Map([[href, bytes]]) : new Map() };
    });
    const chunks: Uint8Array[] = [];
    packageOut(packed, [], (chunk) => chunks.push(chunk));
    const arrived = packageIn(chunks, sha);
    if (!arrived.ok) throw new Error(arrived.message);
    const home = arrived.items.flatMap((item) => ('reason' in item ? [] : item.questions));
    expect(home.map(({ isOwn }) => isOwn)).toEqual(packed.map(() => true));
    expect(home.map(({ question }) => question)).toEqual([...questions, pictured]);
    expect([...arrived.media.keys()]).toEqual([hash]);
  });
});

describe('a test of another program', () => {
  const test2 = `<assessmentTest xmlns="http://www.imsglobal.org/xsd/imsqti_v2p1" identifier="t" title="Week one">
    <testPart identifier="p" navigationMode="nonlinear" submissionMode="individual">
      <assessmentSection identifier="outer" title="Outer" visible="true"><selection select="1"/>
        <assessmentSection identifier="a" title="Twice" visible="true"><ordering shuffle="true"/>
          <assessmentItemRef identifier="q1" href="../items/one.xml"><weight identifier="W" value="4"/></assessmentItemRef>
          <assessmentItemRef identifier="q2" href="../items/two.xml"/>
        </assessmentSection>
        <assessmentSection identifier="b" title="Again" visible="true">
          <assessmentItemRef identifier="q3" href="../items/three.xml"/>
          <assessmentItemRef identifier="q4" href="../items/one.xml"><branchRule target="EXIT_TEST"/></assessmentItemRef>
        </assessmentSection>
      </assessmentSection>
    </testPart></assessmentTest>`;
  const item = item3(
    declared('single', 'identifier', correct('a')),
    `<qti-choice-interaction response-identifier="RESPONSE" max-choices="1"><qti-prompt>Which?</qti-prompt>
      <qti-simple-choice identifier="a">Moss</qti-simple-choice><qti-simple-choice identifier="b">Fern</qti-simple-choice>
    </qti-choice-interaction>`,
  );
  const manifest = `<manifest xmlns="http://www.imsglobal.org/xsd/imscp_v1p1" identifier="m"><resources>
    <resource identifier="r" type="imsqti_item_xmlv2p1" href="items/one.xml"/>
    <resource identifier="s" type="imsqti_item_xmlv2p1" href="items/three.xml"/>
    <resource identifier="t" type="imsqti_test_xmlv2p1" href="tests/week.xml"/>
    <resource identifier="u" type="imsqti_test_xmlv2p1" href="tests/none.xml"/></resources></manifest>`;
  const zip = (test: string) =>
    zipSync({
      'imsmanifest.xml': strToU8(manifest),
      'items/one.xml': strToU8(item),
      'items/three.xml': strToU8(item.replace('"seeds"', '"moss"')),
      'tests/week.xml': strToU8(test),
    });

  test('becomes a set of what came in; what is no part of a set is said', () => {
    const arrived = arrive(zip(test2));
    if (!arrived.ok) throw new Error(arrived.message);
    expect(arrived.tests).toEqual([
      {
        identifier: 't',
        title: 'Week one',
        goBack: true,
        sections: [
          { title: 'Twice', draw: null, shuffled: true, questions: [{ id: 'seeds', points: 4 }] },
          { title: 'Again', draw: null, shuffled: false, questions: [{ id: 'moss', points: null }] },
        ],
        approximations: [
          'What is drawn or shuffled of its inner sections is not taken: each comes as it stands.',
          'A question stands once in a set: where it comes again, it is left out.',
          'Its branches are not taken: every question is shown.',
          'One of its questions did not come in.',
        ],
      },
    ]);
    expect(arrived.unreadTests).toEqual([{ identifier: 'u', reason: 'Its file is not in the package.' }]);
  });

  test('that is none, or has no question here, says so', () => {
    for (const [text, reason] of [
      ['<note/>', 'It is no test.'],
      [test2.replaceAll('one.xml', 'other.xml').replace('three.xml', 'other.xml'), 'None of its questions came in.'],
      ['<!DOCTYPE x><assessmentTest/>', 'It has a document type (DOCTYPE), which is not taken.'],
    ] as const) {
      const arrived = arrive(zip(text));
      expect(arrived.ok && arrived.unreadTests[0]?.reason).toBe(reason);
    }
  });
});
