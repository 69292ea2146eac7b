import { createServer, type AddressInfo, type Server, type Socket } from 'node:net'
import { mailGateway } from './mail'

const letter = {
  id: 'n1',
  from: 'Tussock & Tarn <office@tussock-tarn.example>',
  to: 'reeves@customer.example',
  subject: 'Your visit',
  text: 'Dear Reeves',
}
let server: Server
const sockets: Socket[] = []
/** A mail server that does as told with whoever comes. @returns its address */
const serverThat = async (does: (socket: Socket) => void): Promise<string> => {
  server = createServer((socket) => {
    sockets.push(socket)
    socket.on('error', () => undefined)
    does(socket)
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  return `smtp://127.0.0.1:${(server.address() as AddressInfo).port}`
}
afterEach(async () => {
  for (const socket of sockets.splice(0)) socket.destroy()
  await new Promise((resolve) => server.close(resolve))
})

describe('a mail server', () => {
  it('that takes the call and says nothing is given up after its time, so that the worker goes on', async () => {
    const url = await serverThat(() => undefined)
    const begun = Date.now()
    await expect(mailGateway(url, 300)!.send(letter)).rejects.toThrow(/Greeting never received/)
    expect(Date.now() - begun).toBeLessThan(5_000)
  })
  it('that falls silent in the middle of a letter is given up too', async () => {
    const url = await serverThat((socket) => socket.write('220 here\r\n'))
    await expect(mailGateway(url, 300)!.send(letter)).rejects.toThrow(/[Tt]imeout/)
  })
  it('gets a letter under an id of the sender’s own domain, the same in every try', async () => {
    const got: string[] = []
    const url = await serverThat((socket) => {
      let inLetter = false
      socket.write('220 here\r\n')
      socket.on('data', (data) => {
        const text = String(data)
        got.push(text)
        if (inLetter) {
          if (!text.includes('\r\n.\r\n')) return
          inLetter = false
          return socket.write('250 kept\r\n')
        }
        if (text.startsWith('DATA')) {
          inLetter = true
          return socket.write('354 go on\r\n')
        }
        return socket.write(text.startsWith('QUIT') ? '221 bye\r\n' : '250 fine\r\n')
      })
    })
    await mailGateway(url, 2_000)!.send(letter)
    expect(got.join('')).toContain('Message-ID: <n1@tussock-tarn.example>')
    expect(got.join('')).toContain('Dear Reeves')
  })
})
