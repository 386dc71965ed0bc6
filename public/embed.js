/* Puts a form into the page where this script stands, in a frame that grows with its content. */
(function () {
  'use strict';
  var script = document.currentScript;
  var form = script && script.getAttribute('data-form');
  if (!form || !/^[a-z0-9][a-z0-9-]{0,59}$/.test(form)) return;
  var origin = new URL(script.src).origin;
  var frame = document.createElement('iframe');
  frame.src = origin + '/f/' + form + '?embed=1&page=' + encodeURIComponent(window.location.href.slice(0, 500));
  frame.title = script.getAttribute('data-title') || 'Form';
  frame.style.cssText = 'width:100%;border:0;min-height:420px';
  frame.setAttribute('allow', 'camera');
  script.parentNode.insertBefore(frame, script.nextSibling);
  window.addEventListener('message', function (event) {
    // Only this frame, and only from where it was loaded.
    if (event.source !== frame.contentWindow || event.origin !== origin || !event.data || event.data.telamon !== 1) return;
    if (typeof event.data.height === 'number') frame.style.height = Math.min(20000, Math.max(200, event.data.height)) + 'px';
    if (typeof event.data.goTo === 'string' && /^https:\/\//.test(event.data.goTo)) window.location.assign(event.data.goTo);
  });
})();
