import { keep, readKept } from '../browser/browserStore';

/** Light or dark: what was chosen here before, else what the system prefers. Set before the first paint. */
const KEY = 'corvat-theme';

const preferred = (): string =>
  readKept(KEY) ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light');

const apply = (theme: string) => {
  document.documentElement.dataset.theme = theme;
  for (const button of document.querySelectorAll('[data-theme-switch]')) {
    button.setAttribute('aria-pressed', String(theme === 'dark'));
  }
  document.dispatchEvent(new CustomEvent('corvat-theme'));
};

apply(preferred());
for (const button of document.querySelectorAll('[data-theme-switch]')) {
  button.addEventListener('click', () => {
    const next = document.documentElement.dataset.theme === 'dark' ? 'light' : 'dark';
    keep(KEY, next);
    apply(next);
  });
}

// Paper is white, whatever the screen is; charts draw themselves anew.
addEventListener('beforeprint', () => apply('light'));
addEventListener('afterprint', () => apply(preferred()));
