"""A stand-in for a school's own site: a class page that shows a lesson in a frame. It knows of the lessons only what
any site knows: a link, and what oEmbed tells of it."""

from .application import create_class_site

__all__ = ["create_class_site"]
