"""Secrets that browsers hold: of these only a hash is kept."""

from hashlib import sha256


def hashed(secret: str) -> str:
    """What is kept of a secret."""
    return sha256(secret.encode()).hexdigest()
