"""Benchmarks that anyone can run: ``make bench``. They report figures; they assert nothing."""
