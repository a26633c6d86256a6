import { strToU8, Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import type { Question } from '../../core';
import type { Item } from './item';
import { element, writeXml, type XmlElement } from './xml';

/** Content packaging of QTI 3.0 (IMS CP 1.1, profiled): the manifest's namespace, and the types of its resources. */
const PACKAGING = 'http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1';
export const ITEM_TYPE = 'imsqti_item_xmlv3p0';
export const TEST_TYPE = 'imsqti_test_xmlv3p0';
const OTHER_TYPE = 'webcontent';
export const MANIFEST = 'imsmanifest.xml';
/** Our own document, which travels beside its item. */
export const OWN_ENDING = '.vault-drop.json';

/** Curriculum standards metadata 1.1, in which a resource names outcomes of CASE. */
const STANDARDS = 'http://www.imsglobal.org/xsd/imscsmd_v1p1';

type Carried = Extract<Item, { carried: true }>;

export interface OutcomeOut {
  readonly identifier: string;
  /** Its code; empty: none. */
  readonly code: string;
}

export interface PackedItem {
  readonly question: Question;
  readonly item: Carried;
  /** The files of its media, by their names in the package. */
  readonly files: ReadonlyMap<string, Uint8Array>;
  /** Its outcomes, by their identifiers in CASE. */
  readonly outcomes?: readonly OutcomeOut[];
}

/** A test over the items of a package: a set of ours. */
export interface PackedTest {
  readonly identifier: string;
  readonly xml: string;
}

const resource = (
  identifier: string,
  type: string,
  href: string,
  dependencies: readonly string[] = [],
  outcomes: readonly OutcomeOut[] = [],
): XmlElement =>
  element('resource', { identifier, type, href: encodeURI(href) }, [
    ...(outcomes.length > 0 ? [element('metadata', {}, [standards(outcomes)])] : []),
    element('file', { href: encodeURI(href) }),
    ...dependencies.map((identifierref) => element('dependency', { identifierref })),
  ]);

const standards = (outcomes: readonly OutcomeOut[]): XmlElement =>
  element('curriculumStandardsMetadataSet', { xmlns: STANDARDS }, [
    element('curriculumStandardsMetadata', {}, [
      element(
        'setOfGUIDs',
        {},
        outcomes.map(({ identifier, code }) =>
          element('labelledGUID', {}, [
            ...(code === '' ? [] : [element('label', {}, [code])]),
            element('GUID', {}, [identifier]),
          ]),
        ),
      ),
    ]),
  ]);

/** Writes items as a package of QTI 3.0: `write` gets the bytes of the zip in their order. */
export function packageOut(
  items: readonly PackedItem[],
  tests: readonly PackedTest[],
  write: (bytes: Uint8Array) => void,
): void {
  const zip = new Zip((error, bytes) => {
    if (error) throw error;
    write(bytes);
  });
  const addText = (name: string, text: string) => {
    const file = new ZipDeflate(name, { level: 6 });
    zip.add(file);
    file.push(strToU8(text), true);
  };
  const files = new Map<string, Uint8Array>();
  for (const packed of items) for (const [name, bytes] of packed.files) files.set(name, bytes);
  const names = [...files.keys()];
  const idOf = (name: string) => `media-${names.indexOf(name) + 1}`;
  const resources: XmlElement[] = [];
  for (const { identifier, xml } of tests) {
    addText(`${identifier}.xml`, xml);
    const inIt = items.map(({ item }) => `item-${item.identifier}`);
    resources.push(resource(`test-${identifier}`, TEST_TYPE, `${identifier}.xml`, inIt));
  }
  for (const { item, question, files: own, outcomes } of items) {
    const { identifier, xml, drawn } = item;
    const document = `${identifier}${OWN_ENDING}`;
    addText(`${identifier}.xml`, xml);
    addText(document, JSON.stringify(question, null, 1));
    const pictures = [...drawn].map(([name, svg], i) => {
      addText(name, svg);
      return { id: `drawn-${identifier}-${i + 1}`, name };
    });
    resources.push(
      resource(
        `item-${identifier}`,
        ITEM_TYPE,
        `${identifier}.xml`,
        [`own-${identifier}`, ...pictures.map(({ id }) => id), ...[...own.keys()].map(idOf)],
        outcomes,
      ),
      resource(`own-${identifier}`, OTHER_TYPE, document),
      ...pictures.map(({ id, name }) => resource(id, OTHER_TYPE, name)),
    );
  }
  for (const [name, bytes] of files) {
    const file = new ZipPassThrough(name);
    zip.add(file);
    file.push(bytes, true);
    resources.push(resource(idOf(name), OTHER_TYPE, name));
  }
  addText(
    MANIFEST,
    writeXml(
      element('manifest', { xmlns: PACKAGING, identifier: 'vault-drop-package' }, [
        element('metadata', {}, [element('schema', {}, ['QTI Package']), element('schemaversion', {}, ['3.0.0'])]),
        element('organizations'),
        element('resources', {}, resources),
      ]),
    ),
  );
  zip.end();
}
