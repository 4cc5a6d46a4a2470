// A page whose scripts did not arrive looks whole and does nothing: it says so.
(function () {
  var PATIENCE_MS = 10000;
  var LOOK_MS = 1000;
  var root = document.documentElement;
  var notice = null;

  function tell() {
    notice = document.createElement('div');
    notice.className = 'over-page notice bad';
    notice.setAttribute('role', 'alert');
    var words = document.createElement('p');
    words.className = 'flat';
    words.textContent =
      'This page could not be loaded completely, and its buttons do nothing yet. Is Chiral still running?';
    // A link: buttons take no click until the page runs.
    var again = document.createElement('a');
    again.className = 'plain-button above-2';
    again.href = location.href;
    again.textContent = 'Reload the page';
    notice.append(words, again);
    document.body.append(notice);
  }

  function look() {
    if (root.hasAttribute('data-running')) {
      if (notice) notice.remove();
      return;
    }
    if (!notice) tell();
    setTimeout(look, LOOK_MS);
  }
  setTimeout(look, PATIENCE_MS);
})();
