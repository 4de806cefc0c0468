import { expect, type Locator, type Page } from '@playwright/test';

/** The control that a part of it, or a row of a list, belongs to. */
const controls = 'a[href], button, input, select, textarea, summary, [tabindex], label';

/**
 * From here on what a journey clicks is reached by focus and pressed by key instead, so that all journeys show that nothing
 * needs a mouse. Rows of lists alone are still clicked: they are walked by j and k, which journeys of their own do.
 */
export function walkWithoutMouse(page: Page): void {
  const kind = Object.getPrototypeOf(page.locator('body')) as Pick<Locator, 'click'> & { walked?: true };
  if (kind.walked) return;
  kind.walked = true;
  const click = kind.click;
  kind.click = async function (this: Locator, options) {
    const { keyboard } = this.page();
    await this.waitFor();
    const role = await this.getAttribute('role');
    if (role === 'row') return click.call(this, options);
    // What is chosen from a list that opens below its field is walked to from there.
    if (role === 'option' && (await this.getAttribute('tabindex')) !== '0') {
      const isReached = () =>
        this.evaluate((option) => option === document.activeElement || option.classList.contains('Mui-focused'));
      while (!(await isReached())) await keyboard.press('ArrowDown');
      return keyboard.press('Enter');
    }
    // As with a mouse: what is switched off for a moment is waited for.
    const isOff = () => this.evaluate((element, selector) => element.closest(selector)?.matches(':disabled') ?? false, controls);
    await expect.poll(isOff).toBe(false);
    const type = await this.evaluate((element, selector) => {
      const control = element.closest(selector) ?? element;
      const input = control instanceof HTMLLabelElement ? control.control : control;
      (input as HTMLElement | null)?.focus();
      if (document.activeElement !== input) throw new Error(`The keyboard does not reach ${element.outerHTML.slice(0, 200)}`);
      return input instanceof HTMLInputElement ? input.type : '';
    }, controls);
    await keyboard.press(type === 'checkbox' || type === 'radio' ? 'Space' : 'Enter');
  };
}
