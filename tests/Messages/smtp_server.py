"""A mail server to send to: keeps what it takes as files, and refuses where it is told to.

Usage: smtp_server.py PORT FOLDER MODE [CERT KEY]; MODE is take, tls, or refuse- and the step: helo, mail, rcpt, data,
or dies: takes the data and hangs up without an answer.
"""

import ssl
import sys
import time
import uuid

from aiosmtpd.controller import Controller
from aiosmtpd.smtp import SMTP

port, folder, mode = int(sys.argv[1]), sys.argv[2], sys.argv[3]
context = None
if mode == "tls":
    context = ssl.create_default_context(ssl.Purpose.CLIENT_AUTH)
    context.load_cert_chain(sys.argv[4], sys.argv[5])


class Keeper:
    async def handle_EHLO(self, server, session, envelope, hostname, responses):
        if mode == "refuse-helo":
            return ["550 not you"]
        session.host_name = hostname
        return responses

    async def handle_HELO(self, server, session, envelope, hostname):
        if mode == "refuse-helo":
            return "550 not you"
        session.host_name = hostname
        return "250 smtp.example"

    async def handle_MAIL(self, server, session, envelope, address, options):
        if mode == "refuse-mail":
            return "451 not now"
        envelope.mail_from = address
        return "250 ok"

    async def handle_RCPT(self, server, session, envelope, address, options):
        if mode == "refuse-rcpt":
            return "550 no such user"
        envelope.rcpt_tos.append(address)
        return "250 ok"

    async def handle_DATA(self, server, session, envelope):
        if mode == "refuse-data":
            return "554 no"
        with open(f"{folder}/{uuid.uuid4()}.eml", "wb") as file:
            file.write(envelope.original_content)
        with open(f"{folder}/tls", "w") as file:
            file.write("yes" if session.ssl else "no")
        if mode == "dies":
            server.transport.abort()
        return "250 taken"


class Server(Controller):
    def factory(self):
        return SMTP(self.handler, tls_context=context, require_starttls=mode == "tls", hostname="smtp.example")


controller = Server(Keeper(), hostname="127.0.0.1", port=port)
controller.start()
print("ready", flush=True)
time.sleep(120)
