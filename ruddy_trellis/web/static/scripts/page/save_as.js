// A file that the page has made, saved where the browser saves files.

/**
 * @param {Blob} content
 * @param {string} name
 */
export function saveAs(content, name) {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}
