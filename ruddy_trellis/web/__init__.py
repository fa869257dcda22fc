"""The web application: pages, panels and live boards. Holds no geometry rules."""
