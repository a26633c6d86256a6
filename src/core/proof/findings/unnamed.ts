import { plainText } from '../../document/plain';
import { BLANK_TITLE } from '../../document/version';
import type { FindingRule } from './finding';

/** There is no prompt, or the title is the one it was made with. */
export const unnamed: FindingRule = ({ model }) => {
  const { title, prompt, promptSound } = model.question;
  const found = [];
  if (promptSound === null && (prompt === null || plainText(prompt).trim() === ''))
    found.push({
      where: [],
      message: 'There is no prompt: learners are not told what to do.',
      mend: 'Write under Words & marks what they are to do.',
    });
  if (title.trim() === '' || title === BLANK_TITLE)
    found.push({
      where: [],
      message: 'The question has no title of its own, by which you would find it again.',
      mend: 'Give it a title in the top line.',
    });
  return found;
};
