"""Stands for the library of that name in the browser, where messages come from our own page: it makes the models, and checks nothing,
for the server checks all that it keeps. It has what the core uses, and no more.
"""

import json
from copy import copy
from types import UnionType
from typing import Annotated, Union, get_args, get_origin

_MISSING = object()


class ValidationError(ValueError):
    """What has not the shape of a model."""

    def errors(self):
        return [{"loc": ("", "message"), "msg": str(self)}]


class _Default:
    def __init__(self, default=_MISSING, default_factory=None, alias=None, **_):
        self.default, self.factory, self.alias = default, default_factory, alias


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
    _kinds: dict = {}
    _aliases: dict = {}

    def __init_subclass__(cls, **_):
        kinds = {name: kind for name, kind in cls.__annotations__.items() if name != "model_config"}
        own = {name: cls.__dict__.get(name, _MISSING) for name in kinds}
        cls._fields, cls._kinds = {**cls._fields, **own}, {**cls._kinds, **kinds}
        cls._aliases = {**cls._aliases, **{one.alias: name for name, one in own.items() if getattr(one, "alias", None)}}

    def __init__(self, **given):
        given = {self._aliases.get(name, name): value for name, value in given.items()}
        if strange := given.keys() - self._fields.keys():
            raise ValidationError(f"{', '.join(sorted(strange))} is not asked for")
        self.model_fields_set = set(given)
        for name, default in self._fields.items():
            setattr(self, name, _made(self._kinds[name], given[name]) if name in given else _said(default))

    def __eq__(self, other):
        return type(self) is type(other) and self.model_dump() == other.model_dump()

    __hash__ = None  # type: ignore[assignment]

    def model_dump(self, exclude_unset=False, exclude=(), by_alias=False, **_):
        names = [name for name in self._fields if name not in exclude and (not exclude_unset or name in self.model_fields_set)]
        called = {name: alias for alias, name in self._aliases.items()} if by_alias else {}
        return {called.get(name, name): _dumped(getattr(self, name), exclude_unset, by_alias) for name in names}

    def model_dump_json(self, **how):
        return json.dumps(self.model_dump(**how))

    def model_copy(self, update=None):
        return type(self)(**{**{name: getattr(self, name) for name in self.model_fields_set}, **(update or {})})

    @classmethod
    def model_validate(cls, data):
        return cls(**data)


def _dumped(value, exclude_unset=False, by_alias=False):
    if isinstance(value, BaseModel):
        return value.model_dump(exclude_unset, by_alias=by_alias)
    if isinstance(value, (list, tuple)):
        return type(value)(_dumped(one, exclude_unset, by_alias) for one in value)
    return {name: _dumped(one, exclude_unset, by_alias) for name, one in value.items()} if isinstance(value, dict) else value


def _made(kind, value):
    """A value as a field of a kind holds it: models of what came as dicts, tuples of lists."""
    origin, inner = get_origin(kind), get_args(kind)
    if origin is Annotated:
        return _made(inner[0], value)
    if isinstance(value, dict):
        if isinstance(kind, type) and issubclass(kind, BaseModel):
            return kind.model_validate(value)
        if origin in (Union, UnionType):
            models = [one for one in inner if isinstance(one, type) and issubclass(one, BaseModel)]
            return models[0].model_validate(value) if len(models) == 1 else value
        if origin is dict:
            return {name: _made(inner[1], one) for name, one in value.items()}
    if isinstance(value, (list, tuple)):
        if origin is list:
            return [_made(inner[0], one) for one in value]
        if origin is tuple:
            kinds = [inner[0]] * len(value) if inner[-1] is Ellipsis else inner
            return tuple(_made(*pair) for pair in zip(kinds, value))
        if origin in (Union, UnionType) and (lists := [one for one in inner if get_origin(one) in (list, tuple)]):
            return _made(lists[0], value)
    return value


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
