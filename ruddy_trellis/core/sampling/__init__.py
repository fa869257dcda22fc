"""One thing many times: families, loci, motions, shaken copies."""
