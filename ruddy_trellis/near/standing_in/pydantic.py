"""Stands for the library of that name in the browser, where messages come from our own page: it makes the models, and checks nothing,
for the server checks all that it keeps. It has what the core uses, and no more.
"""

from copy import copy
from typing import Annotated, get_args, get_origin

_MISSING = object()


class ValidationError(ValueError):
    """What has not the shape of a model."""

    def errors(self):
        return [{"loc": ("", "message"), "msg": str(self)}]


class _Default:
    def __init__(self, default=_MISSING, default_factory=None, **_):
        self.default, self.factory = default, default_factory


Field = _Default


def ConfigDict(**settings):
    return settings


def _said(default):
    """The value of a field that was not given."""
    if isinstance(default, _Default):
        default = default.factory() if default.factory is not None else default.default
    if default is _MISSING:
        raise ValidationError("is missing")
    return copy(default)


class BaseModel:
    """A thing with the fields that its class names."""

    _fields: dict = {}

    def __init_subclass__(cls, **_):
        own = {name: cls.__dict__.get(name, _MISSING) for name in cls.__annotations__ if name != "model_config"}
        cls._fields = {**cls._fields, **own}

    def __init__(self, **given):
        if strange := given.keys() - self._fields.keys():
            raise ValidationError(f"{', '.join(sorted(strange))} is not asked for")
        self.model_fields_set = set(given)
        for name, default in self._fields.items():
            setattr(self, name, given[name] if name in given else _said(default))

    def __eq__(self, other):
        return type(self) is type(other) and self.model_dump() == other.model_dump()

    __hash__ = None  # type: ignore[assignment]

    def model_dump(self, exclude_unset=False, exclude=(), **_):
        names = [name for name in self._fields if name not in exclude and (not exclude_unset or name in self.model_fields_set)]
        return {name: _dumped(getattr(self, name)) for name in names}

    def model_copy(self, update=None):
        return type(self)(**{**{name: getattr(self, name) for name in self.model_fields_set}, **(update or {})})

    @classmethod
    def model_validate(cls, data):
        return cls(**data)


def _dumped(value):
    return value.model_dump() if isinstance(value, BaseModel) else value


class TypeAdapter:
    """Makes the one of several models that a field of the data names."""

    def __init__(self, kind):
        kinds, *_ = get_args(kind) if get_origin(kind) is Annotated else (kind,)
        self._kinds = {get_args(annotation)[0]: one for one in get_args(kinds) for annotation in _named(one)}

    def validate_python(self, data):
        for name in ("t", "kind"):
            if data.get(name) in self._kinds:
                return self._kinds[data[name]](**data)
        raise ValidationError("is no message")

    def __class_getitem__(cls, _):
        return cls


def _named(model):
    """The annotations of the field that tells models of a kind apart."""
    return [model.__annotations__[name] for name in ("t", "kind") if name in getattr(model, "__annotations__", {})]
