// The picture under the figure: fetched once, painted where the board says.

export class Photograph {
  /** @param {() => void} arrived told when there is more to paint */
  constructor(arrived) {
    this.arrived = arrived;
    this.address = "";
  }

  /** Fetch the picture at an address; none for "". */
  async take(address) {
    if (address === this.address) return;
    this.address = address;
    this.image = null;
    if (!address) return;
    try {
      const image = await createImageBitmap(await (await fetch(address)).blob());
      if (this.address === address) this.image = image;
    } catch {
      this.address = ""; // the next telling asks again
    }
    this.arrived();
  }

  /**
   * @param {OffscreenCanvasRenderingContext2D} context
   * @param {import("./viewport.js").Port} port
   * @param {{at: number[], width: number, tall: number, turn: number, fade: number} | null} where
   */
  paint(context, port, where) {
    if (!where || !this.image) return;
    const width = where.width * port.zoom;
    context.save();
    context.globalAlpha = where.fade;
    context.translate(port.px(where.at[0]), port.py(where.at[1]));
    context.rotate((-where.turn * Math.PI) / 180);
    context.drawImage(this.image, -width / 2, (-width * where.tall) / 2, width, width * where.tall);
    context.restore();
  }
}
