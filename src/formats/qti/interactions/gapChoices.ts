import { identifierOf } from '../../identifiers';
import { itemAt, itemsIn, type Leaving, namesOf } from '../outgoing';
import { contentOf, onlyPicture } from '../words';
import { element, type XmlElement } from '../xml';
import { groupOf } from './pairs';

/** Items as what is moved into gaps and onto places: pictures where they show nothing else, else words. */
export const gapChoices = (leaving: Leaving): readonly XmlElement[] =>
  itemsIn(leaving).flatMap((item) => {
    const shown = itemAt(leaving, item);
    const picture = onlyPicture(leaving, shown);
    return namesOf(leaving, item).map((identifier) => {
      const attributes = { identifier, 'match-max': 1, 'match-group': groupOf(shown.family, identifierOf) };
      return picture
        ? element('qti-gap-img', { ...attributes, 'object-label': shown.label || undefined }, [
            element('object', { data: picture.href, type: picture.type, width: shown.size.w, height: shown.size.h }),
          ])
        : element('qti-gap-text', attributes, contentOf(leaving, shown));
    });
  });
