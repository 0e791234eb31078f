"""A Modbus TCP server by pymodbus that answers as it should, or in one ill-mannered way.

    ill_mannered.py MANNER [NUMBER]

Prints its port once it listens. Register n of 0 to 299 holds n; writes are taken. It ends with its input.
"""
import asyncio
import logging
import os
import sys
import time

from pymodbus.datastore import ModbusSequentialDataBlock, ModbusServerContext, ModbusSlaveContext
from pymodbus.device import ModbusDeviceIdentification
from pymodbus.pdu import ExceptionResponse
from pymodbus.server.async_io import ModbusTcpServer
from pymodbus.transaction import ModbusSocketFramer

logging.disable(logging.CRITICAL)
manner = sys.argv[1]
number = float(sys.argv[2]) if len(sys.argv) > 2 else 0


def refused(response, code):
    refusal = ExceptionResponse(response.function_code, int(code))
    refusal.transaction_id = response.transaction_id
    refusal.unit_id = response.unit_id
    return refusal


def answer(response):
    """What is sent instead of the right answer, and whether it is raw bytes."""
    registers = getattr(response, "registers", None)
    if manner == "exception":
        return refused(response, number), False
    if manner == "few" and registers is not None and len(registers) > number:
        return refused(response, 3), False
    if manner == "late":
        time.sleep(number)
    if manner == "silent":
        response.should_respond = False
    if manner == "stray":
        return os.urandom(int(number)), True
    if manner == "short" and registers is not None:
        response.registers = registers[:-1]
    if manner == "long" and registers is not None:
        response.registers = registers + [7]
    if manner == "other-transaction":
        response.transaction_id += 1
    if manner == "other-unit":
        response.unit_id += 1
    if manner == "other-function":
        response.function_code = 4
    if manner == "cut":
        frame = ModbusSocketFramer(None).buildPacket(response)
        return frame[: len(frame) - 1], True
    if manner == "wrong-count" and registers is not None:
        frame = bytearray(ModbusSocketFramer(None).buildPacket(response))
        frame[8] += 2
        return bytes(frame), True
    return response, False


async def main():
    block = ModbusSequentialDataBlock(0, list(range(300)))
    context = ModbusServerContext(slaves=ModbusSlaveContext(hr=block, zero_mode=True), single=True)
    identity = ModbusDeviceIdentification(
        info_name={"VendorName": "Nobody", "ProductCode": "None", "MajorMinorRevision": "0.1"}
    )
    server = ModbusTcpServer(
        context, identity=identity, address=("127.0.0.1", 0), response_manipulator=answer
    )
    serving = asyncio.create_task(server.serve_forever())
    await server.serving
    print(server.server.sockets[0].getsockname()[1], flush=True)
    # Its input ends with the test that began it.
    await asyncio.get_running_loop().run_in_executor(None, sys.stdin.read)
    serving.cancel()
    os._exit(0)


asyncio.run(main())
