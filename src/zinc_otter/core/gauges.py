"""Sizes of wire and of drills, by the numbers that the trade gives them."""

from __future__ import annotations

from zinc_otter.core.errors import BadNumberError

# Inches of number drills 1 to 80: ASME B94.11M, "Twist Drills", from memory.
_DRILLS = (
    0.2280, 0.2210, 0.2130, 0.2090, 0.2055, 0.2040, 0.2010, 0.1990, 0.1960, 0.1935, 0.1910, 0.1890, 0.1850, 0.1820, 0.1800,
    0.1770, 0.1730, 0.1695, 0.1660, 0.1610, 0.1590, 0.1570, 0.1540, 0.1520, 0.1495, 0.1470, 0.1440, 0.1405, 0.1360, 0.1285,
    0.1200, 0.1160, 0.1130, 0.1110, 0.1100, 0.1065, 0.1040, 0.1015, 0.0995, 0.0980, 0.0960, 0.0935, 0.0890, 0.0860, 0.0820,
    0.0810, 0.0785, 0.0760, 0.0730, 0.0700, 0.0670, 0.0635, 0.0595, 0.0550, 0.0520, 0.0465, 0.0430, 0.0420, 0.0410, 0.0400,
    0.0390, 0.0380, 0.0370, 0.0360, 0.0350, 0.0330, 0.0320, 0.0310, 0.0292, 0.0280, 0.0260, 0.0250, 0.0240, 0.0225, 0.0210,
    0.0200, 0.0180, 0.0160, 0.0145, 0.0135,
)  # fmt: skip


def wire_gauge(number: float) -> float:
    """The diameter in mm of American wire gauge 0 to 40: each is a 39th root of 92 thinner than the one before.

    Source: ASTM B258, "Standard Nominal Diameters and Cross-Sectional Areas of AWG Sizes". Raises BadNumberError.

    >>> round(wire_gauge(20), 3), wire_gauge(36)
    (0.812, 0.127)
    """
    if number != int(number) or not 0 <= number <= 40:
        raise BadNumberError(f"Wire gauges are whole numbers from 0 to 40; {number:g} is none.")
    return float(0.127 * 92 ** ((36 - number) / 39))


def number_drill(number: float) -> float:
    """The diameter in mm of a number drill 1 to 80. Raises BadNumberError.

    >>> round(number_drill(60), 3)
    1.016
    """
    if number != int(number) or not 1 <= number <= len(_DRILLS):
        raise BadNumberError(f"Number drills are whole numbers from 1 to {len(_DRILLS)}; {number:g} is none.")
    return _DRILLS[int(number) - 1] * 25.4
