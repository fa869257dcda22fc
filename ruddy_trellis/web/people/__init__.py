"""Accounts, and who may what."""
