"""The geometry itself: plain functions of coordinates, each written once and run in every arithmetic.

The values they take and give are tuples of numbers of one arithmetic, in board units:

* point: ``(x, y)``
* straight: ``(px, py, dx, dy, low, high)``, the points ``p + t d`` with ``low <= t <= high``; a segment or a vector
  runs from 0 to 1, a ray from 0 on, a line without end. ``low`` and ``high`` are always Python numbers.
* circle: ``(cx, cy, rr)`` with the *square* of the radius, so that no root is taken before one is needed
* arc, sector, chord region: ``(cx, cy, rr, ax, ay, bx, by)``, a circle and the points on it from which the arc starts
  and at which it ends, anticlockwise
* conic: ``(fx, fy, ux, uy, l)``, the points P with ``|P - F| = |u . (P - F) + l|``: F a focus, the length of u the
  eccentricity, the line where the right side is zero the directrix (see ``conics``)
* polygon: a tuple of points
* number: a single number; angles in degrees
"""
