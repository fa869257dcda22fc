"""The libraries that read files, loaded by the process that reads and not by the one that answers."""

from typing import TYPE_CHECKING

from ..core.late import Late

if TYPE_CHECKING:
    import ezdxf
    import svgelements
    from defusedxml import ElementTree as safe_xml
    from ezdxf import recover as dxf_recover
    from ezdxf import units as dxf_units
    from ezdxf.lldxf import const as dxf_const
    from PIL import Image as images
    from PIL import ImageOps as image_acts
else:
    ezdxf, dxf_recover, dxf_units, dxf_const = map(Late, ("ezdxf", "ezdxf.recover", "ezdxf.units", "ezdxf.lldxf.const"))
    svgelements, safe_xml = Late("svgelements"), Late("defusedxml.ElementTree")
    images, image_acts = Late("PIL.Image"), Late("PIL.ImageOps")

__all__ = ["dxf_const", "dxf_recover", "dxf_units", "ezdxf", "image_acts", "images", "safe_xml", "svgelements"]
