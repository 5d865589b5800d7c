export default function tearDown() {
  globalThis.removeTemplate();
}
