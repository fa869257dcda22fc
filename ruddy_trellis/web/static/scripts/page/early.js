// Opens the line to the board while the page and its script are still on their way; the line takes it over with what has come.
(() => {
  if ("early" in window) return; // the page's script was quicker, and has a line
  const path = document.currentScript.dataset.line;
  const address = `${location.protocol === "https:" ? "wss" : "ws"}://${location.host}${path}`;
  const socket = new WebSocket(address);
  const early = { address, socket, events: [] };
  socket.onmessage = (event) => early.events.push(event);
  window.early = early;
})();
