import { describe, expect, it } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/angular';
import { MeasureField } from './measure-field';

async function drawn(inputs: { text?: string; fault?: string; isOnDrawing?: boolean } = {}) {
  const heard: string[] = [];
  await render(MeasureField, {
    inputs: { slot: 'width-top', label: 'Width at the top', text: '', ...inputs },
    on: {
      typed: (text) => heard.push(`typed ${text}`),
      left: () => heard.push('left'),
      walked: (way) => heard.push(`walked ${way}`),
    },
  });
  return { box: screen.getByRole<HTMLInputElement>('textbox', { name: 'Width at the top' }), heard };
}

describe('what does a measure field do with the keys?', () => {
  it('letters are told as they are typed; Enter goes on, Escape drops', async () => {
    const { box, heard } = await drawn();
    fireEvent.input(box, { target: { value: '34 5/8' } });
    fireEvent.keyDown(box, { key: 'Enter' });
    fireEvent.keyDown(box, { key: 'Escape' });
    fireEvent.blur(box);
    expect(heard).toEqual(['typed 34 5/8', 'walked next', 'walked drop', 'left']);
  });

  it('arrows walk the figure only from the end of the text', async () => {
    const { box, heard } = await drawn({ text: '880' });
    box.setSelectionRange(1, 1);
    fireEvent.keyDown(box, { key: 'ArrowRight' });
    fireEvent.keyDown(box, { key: 'ArrowLeft' });
    expect(heard).toEqual([]);
    box.setSelectionRange(3, 3);
    fireEvent.keyDown(box, { key: 'ArrowRight' });
    box.setSelectionRange(0, 0);
    fireEvent.keyDown(box, { key: 'ArrowLeft' });
    expect(heard).toEqual(['walked right', 'walked left']);
  });

  it('what cannot be read stays, marked and explained beside the field', async () => {
    const { box } = await drawn({
      text: '88o',
      fault: 'Not a length. Type it like 880.',
      isOnDrawing: false,
    });
    expect([box.value, box.getAttribute('aria-invalid')]).toEqual(['88o', 'true']);
    const fault = document.getElementById(box.getAttribute('aria-describedby') ?? '');
    expect(fault?.textContent.trim()).toBe('Not a length. Type it like 880.');
  });
});
