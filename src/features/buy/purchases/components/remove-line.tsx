import { X } from 'lucide-react';
import Button from 'react-bootstrap/Button';

/** Takes a line out. */
export const RemoveLine = ({ label, act }: { readonly label: string; readonly act: () => void }) => (
  <Button variant="tool" size="sm" aria-label={label} onClick={act}>
    <X size={16} aria-hidden="true" />
  </Button>
);
