"""The verbs that build a form, case by case, and in random sequences."""
