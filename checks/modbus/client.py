"""A Modbus TCP client by pymodbus: obeys lines of its input, and prints a line of JSON to each.

    client.py PORT
    read START COUNT · write REGISTER WORD · identify
"""
import json
import logging
import sys

from pymodbus.client import ModbusTcpClient
from pymodbus.mei_message import ReadDeviceInformationRequest

logging.disable(logging.CRITICAL)
client = ModbusTcpClient("127.0.0.1", port=int(sys.argv[1]), timeout=5)
client.connect()


def told(answer, value):
    if answer.isError():
        return {"exception": getattr(answer, "exception_code", str(answer))}
    return value(answer)


for line in sys.stdin:
    order, *rest = line.split()
    numbers = [int(x) for x in rest]
    if order == "read":
        said = told(client.read_holding_registers(*numbers, slave=1), lambda a: {"words": a.registers})
    elif order == "write":
        said = told(client.write_register(*numbers, slave=1), lambda a: {"word": a.value})
    else:
        request = ReadDeviceInformationRequest(read_code=1, object_id=0, unit=1)
        said = told(
            client.execute(request),
            lambda a: {"identity": [v.decode() for _, v in sorted(a.information.items())]},
        )
    print(json.dumps(said), flush=True)
