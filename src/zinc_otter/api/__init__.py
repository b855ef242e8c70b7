"""The web service: REST routes, the live websocket, and their schemas."""
