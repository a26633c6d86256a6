import { speakOnServer } from '../../src/words';
import { speakerOf } from '../../src/words/catalogues';

// Unit tests read English.
speakOnServer(() => speakerOf('en'));
