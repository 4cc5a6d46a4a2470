// Before the first paint: light or dark, as chosen or as the system has it.
(function () {
  var chosen = /(?:^|; )theme=(light|dark)/.exec(document.cookie);
  var dark = chosen ? chosen[1] === 'dark' : window.matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.setAttribute('data-theme', dark ? 'dark' : 'light');
})();
