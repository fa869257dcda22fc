"""The libraries that write files, loaded by the process that writes and not by the one that answers."""

from typing import TYPE_CHECKING

from ..core.late import Late

if TYPE_CHECKING:
    import ezdxf
    import ezdxf.entities as dxf_entities
    import ezdxf.enums as dxf_enums
    import ezdxf.math as dxf_math
    import pypdfium2
    from fontTools import subset as font_parts
    from fontTools import ttLib as font_files
    from fontTools.pens import basePen as font_pens
    from PIL import Image as images
    from reportlab.lib import utils as pdf_utils
    from reportlab.pdfbase import pdfmetrics
    from reportlab.pdfbase import ttfonts as pdf_fonts
    from reportlab.pdfgen import canvas as pdf_canvas
else:
    ezdxf, dxf_entities, dxf_enums, dxf_math = map(Late, ("ezdxf", "ezdxf.entities", "ezdxf.enums", "ezdxf.math"))
    pypdfium2, images = Late("pypdfium2"), Late("PIL.Image")
    font_files, font_parts, font_pens = map(Late, ("fontTools.ttLib", "fontTools.subset", "fontTools.pens.basePen"))
    pdf_utils, pdfmetrics = Late("reportlab.lib.utils"), Late("reportlab.pdfbase.pdfmetrics")
    pdf_fonts, pdf_canvas = Late("reportlab.pdfbase.ttfonts"), Late("reportlab.pdfgen.canvas")

__all__ = [
    "dxf_entities", "dxf_enums", "dxf_math", "ezdxf", "font_files", "font_parts", "font_pens", "images", "pdf_canvas", "pdf_fonts",
    "pdf_utils", "pdfmetrics", "pypdfium2",
]  # fmt: skip
